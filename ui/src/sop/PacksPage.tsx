import { Button } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from '@tanstack/react-router'
import { useState } from 'react'
import type { BroughtIn, FeedbackView, Me, RevisionView } from '../api.gen'
import { Fetching } from '../app/Fetching'
import { FileChoice } from '../app/FileChoice'
import { ask, type Problem } from '../app/api'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import { WordsForm } from '../app/WordsForm'
import classes from './PacksPage.module.css'

/** The fleet's procedures: every pack with its revisions, and what crews say does not fit. */
export const PacksPage = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const packs = useQuery<RevisionView[], Problem>({ queryKey: ['packs'], queryFn: () => ask('GET', '/api/packs') })
  const bring = useMutation<BroughtIn, Problem, File>({
    mutationFn: async (file) => ask('POST', '/api/packs', await file.text()),
    onSuccess: () => client.invalidateQueries({ queryKey: ['packs'] }),
  })
  const ids = [...new Set((packs.data ?? []).map((r) => r.id))].sort()
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <div className={classes.head}>
          <h1>Procedures</h1>
          {me.draws && (
            <FileChoice accept=".yaml,.yml,.json" onChange={(file) => file && bring.mutate(file)}>
              {(props) => (
                <Button {...props} className={classes.bring!}>
                  Bring in a pack as a draft
                </Button>
              )}
            </FileChoice>
          )}
        </div>
        {bring.error && <ProblemNotice problem={bring.error} />}
        {bring.data && (
          <p className={classes.done} role="status">
            Brought in as a draft. {bring.data.what}
          </p>
        )}
        {packs.error && <ProblemNotice problem={packs.error} />}
        {packs.isPending && <Fetching what="the packs" />}
        {packs.data?.length === 0 && <p>No pack yet. Fleet standards bring one in.</p>}
        {ids.map((id) => (
          <PackRevisions key={id} revisions={packs.data!.filter((r) => r.id === id)} />
        ))}
        <Feedback me={me} />
      </main>
    </>
  )
}

const PackRevisions = ({ revisions }: { revisions: RevisionView[] }) => (
  <section>
    <h2>{revisions[0]!.title}</h2>
    <ul className={classes.list}>
      {revisions.map((r) => (
        <li key={r.revision}>
          <Link
            to="/packs/$id/$revision"
            params={{ id: r.id, revision: r.revision }}
            search={{}}
            className={classes.line}
          >
            <b>{r.revision}</b>
            <span className={classes.state} data-life={r.life}>
              {r.state}
            </span>
            <span>
              {r.effective
                ? `from ${r.effective}`
                : r.checked
                  ? `checked by ${r.checked.name}`
                  : `drafted by ${r.drafted.name}, to be checked by a second person`}
            </span>
            <span className={classes.facts}>
              {r.steps} steps ·{' '}
              {r.faults > 0 ? `${r.faults} faults` : r.advice > 0 ? `${r.advice} pieces of advice` : 'clean'}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  </section>
)

const Feedback = ({ me }: { me: Me }) => {
  const client = useQueryClient()
  const [answering, setAnswering] = useState('')
  const said = useQuery<FeedbackView[], Problem>({
    queryKey: ['feedback'],
    queryFn: () => ask('GET', '/api/feedback'),
  })
  const answer = useMutation<void, Problem, { id: string; words: string }>({
    mutationFn: ({ id, words }) => ask('POST', `/api/feedback/${id}/answer`, { words }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['feedback'] }),
  })
  if (!said.data || (said.data.length === 0 && !me.draws)) return null
  return (
    <section>
      <h2>{me.draws ? 'What crews say does not fit' : 'What you said does not fit'}</h2>
      {said.data.length === 0 && (
        <p className={classes.none}>Nothing. On any step of a departure a crew can press "This does not fit".</p>
      )}
      {answer.error && <ProblemNotice problem={answer.error} />}
      <ul className={classes.said}>
        {said.data.map((f) => (
          <li key={f.id}>
            <p className={classes.words}>{f.words}</p>
            <p className={classes.facts}>
              <Link to="/packs/$id/$revision" params={{ id: f.pack, revision: f.revision }} search={{ step: f.step }}>
                {f.where}
              </Link>
              {` · ${f.by}, ${f.tail}, ${f.flight.toLowerCase()}, ${f.at.slice(0, 16).replace('T', ' ')} UTC`}
              {`, revision ${f.revision}`}
            </p>
            {f.answer && (
              <p className={classes.answer}>
                {f.answeredBy}: {f.answer}
              </p>
            )}
            {me.draws &&
              (answering === f.id ? (
                <WordsForm
                  draft={`answer/${f.id}`}
                  label="Answer"
                  action="Answer"
                  onCancel={() => setAnswering('')}
                  onSay={(words) => {
                    answer.mutate({ id: f.id, words })
                    setAnswering('')
                  }}
                />
              ) : (
                <Button size="desk" variant="rest" className={classes.small!} onClick={() => setAnswering(f.id)}>
                  {f.answer ? 'Answer again' : 'Answer'}
                </Button>
              ))}
          </li>
        ))}
      </ul>
    </section>
  )
}
