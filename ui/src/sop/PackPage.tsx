import { Button, Table, TextInput, UnstyledButton } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { getRouteApi, useNavigate } from '@tanstack/react-router'
import { useState } from 'react'
import type { BroughtIn, EditorView, Me, PackView, ReaderView, RevisionView } from '../api.gen'
import { Fetching } from '../app/Fetching'
import { FileChoice } from '../app/FileChoice'
import { ask, type Problem } from '../app/api'
import { Action } from '../app/Action'
import { serverNow } from '../app/clock'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import { SeatingContext } from '../app/seating'
import { CardsView } from './CardsView'
import { ChangesPane } from './ChangesPane'
import { PackEditor } from './PackEditor'
import classes from './PackPage.module.css'

const route = getRouteApi('/packs/$id/$revision')

const VIEWS = [
  { id: 'steps', words: 'Steps' },
  { id: 'changes', words: 'What changed' },
  { id: 'cards', words: 'Cards' },
  { id: 'readers', words: 'Who has read it' },
]

/**
 * One revision of a pack: its steps, what it changed, the cards it makes, who has read it, and its next step in
 * life.
 */
export const PackPage = ({ me }: { me: Me }) => {
  const { id, revision } = route.useParams()
  const { view = 'steps', step = '' } = route.useSearch()
  const navigate = useNavigate()
  const client = useQueryClient()
  const path = `/api/packs/${id}/${encodeURIComponent(revision)}`
  const key = ['pack', id, revision]
  const pack = useQuery<PackView, Problem>({ queryKey: key, queryFn: () => ask('GET', path), gcTime: 0 })
  const all = useQuery<RevisionView[], Problem>({ queryKey: ['packs'], queryFn: () => ask('GET', '/api/packs') })
  const editor = useQuery<EditorView, Problem>({
    queryKey: ['editor'],
    queryFn: () => ask('GET', '/api/packs/editor'),
    staleTime: Infinity,
  })
  const show = (v: string) =>
    void navigate({ to: '/packs/$id/$revision', params: { id, revision }, search: { view: v } })
  const changed = () =>
    client.invalidateQueries({
      predicate: (q) => ['pack', 'packs', 'changes', 'readers', 'reading'].includes(String(q.queryKey[0])),
    })
  return (
    <div className={classes.page}>
      <TopBar me={me} />
      {(pack.error ?? editor.error) && (
        <div className={classes.pane}>
          <ProblemNotice problem={(pack.error ?? editor.error)!} />
        </div>
      )}
      {(pack.isPending || editor.isPending) && (
        <div className={classes.pane}>
          <Fetching what="the pack" />
        </div>
      )}
      {pack.data && editor.data && (
        <SeatingContext value={pack.data.revision.seating}>
          <Head me={me} revision={pack.data.revision} path={path} onChanged={changed} />
          <nav className={classes.views}>
            {VIEWS.filter(
              (v) => v.id !== 'readers' || (pack.data.revision.published && (me.draws || me.checksPacks)),
            ).map((v) => (
              <UnstyledButton key={v.id} aria-current={v.id === view ? 'page' : undefined} onClick={() => show(v.id)}>
                {v.words}
              </UnstyledButton>
            ))}
          </nav>
          <main className={classes.body}>
            {view === 'changes' ? (
              <ChangesPane key={revision} pack={pack.data} all={all.data ?? []} />
            ) : view === 'cards' ? (
              <CardsView pack={pack.data} editor={editor.data} />
            ) : view === 'readers' ? (
              <Readers path={path} />
            ) : (
              <PackEditor
                key={`${id}/${revision}`}
                pack={pack.data}
                editor={editor.data}
                writes={me.draws && !pack.data.revision.published}
                wanted={step}
                onSaved={(next) => {
                  client.setQueryData(key, next)
                  void client.invalidateQueries({ queryKey: ['packs'] })
                }}
              />
            )}
          </main>
        </SeatingContext>
      )}
    </div>
  )
}

interface HeadProps {
  me: Me
  revision: RevisionView
  path: string
  onChanged: () => void
}

/** How far it has come, and what may be done with it next. */
const Head = ({ me, revision: r, path, onChanged }: HeadProps) => {
  const navigate = useNavigate()
  const today = new Date(serverNow()).toISOString().slice(0, 10)
  const [effective, setEffective] = useState(today)
  const [name, setName] = useState<string | undefined>(undefined)
  const [discarding, setDiscarding] = useState(false)
  const check = useMutation<RevisionView, Problem>({
    mutationFn: () => ask('POST', `${path}/check?edition=${r.edition}`, {}),
    onSuccess: onChanged,
  })
  const publish = useMutation<RevisionView, Problem>({
    mutationFn: () => ask('POST', `${path}/publish?edition=${r.edition}`, { effective }),
    onSuccess: onChanged,
  })
  const discard = useMutation<void, Problem>({
    mutationFn: () => ask('DELETE', `${path}?edition=${r.edition}`),
    onSuccess: () => {
      onChanged()
      void navigate({ to: '/packs' })
    },
  })
  const next = useMutation<RevisionView, Problem, string>({
    mutationFn: (to) => ask('POST', `${path}/next`, { revision: to }),
    onSuccess: (made) => {
      onChanged()
      setName(undefined)
      void navigate({ to: '/packs/$id/$revision', params: { id: made.id, revision: made.revision }, search: {} })
    },
  })
  const over = useMutation<BroughtIn, Problem, File>({
    mutationFn: async (file) => ask('POST', `/api/packs?over=${r.edition}`, await file.text()),
    onSuccess: onChanged,
  })
  const problem = over.error ?? check.error ?? publish.error ?? discard.error ?? next.error
  const standards = me.draws
  return (
    <section className={classes.head} aria-label="The revision">
      <div>
        <h1>
          {r.title} <span className={classes.revision}>revision {r.revision}</span>
        </h1>
        <p className={classes.life}>
          <b className={classes.state} data-life={r.life}>
            {r.state}
          </b>{' '}
          {r.effective ? `from ${r.effective}. ` : ''}Drafted by {r.drafted.name}
          {r.checked
            ? `, checked by ${r.checked.name}`
            : r.life === 'draft'
              ? ', to be checked by a second person'
              : ''}
          {r.published ? `, published by ${r.published.name}` : ''}. {r.steps} steps, {r.tails.join(', ')}
          {r.faults + r.advice > 0 ? `. ${r.faults} faults, ${r.advice} pieces of advice` : ''}.
        </p>
        {problem && <ProblemNotice problem={problem} />}
      </div>
      <div className={classes.next}>
        {r.life === 'draft' && me.checksPacks && r.drafted.by !== me.id && (
          <Action hotkey="k" main disabled={r.faults > 0 || check.isPending} onAct={() => check.mutate()}>
            I have checked it
          </Action>
        )}
        {r.life === 'checked' && standards && (
          <>
            <TextInput
              type="date"
              aria-label="Holds from"
              value={effective}
              min={today}
              onChange={(e) => setEffective(e.currentTarget.value)}
            />
            <Action hotkey="p" main disabled={publish.isPending} onAct={() => publish.mutate()}>
              Publish
            </Action>
          </>
        )}
        {standards &&
          (name === undefined ? (
            <Button size="desk" variant="rest" onClick={() => setName('')}>
              New revision from it
            </Button>
          ) : (
            <form
              className={classes.name}
              onSubmit={(e) => {
                e.preventDefault()
                next.mutate(name)
              }}
            >
              <TextInput
                aria-label="Its name"
                placeholder="its name, such as 2027-02"
                value={name}
                autoFocus
                onChange={(e) => setName(e.currentTarget.value)}
              />
              <Button type="submit" size="desk" variant="rest">
                Begin
              </Button>
            </form>
          ))}
        <Button component="a" size="desk" variant="rest" href={`${path}/file`} download>
          Download
        </Button>
        {standards && !r.published && (
          <FileChoice accept=".yaml,.yml,.json" onChange={(file) => file && over.mutate(file)}>
            {(props) => (
              <Button {...props} size="desk" variant="rest">
                Bring in a file over it
              </Button>
            )}
          </FileChoice>
        )}
        {standards && !r.published && (
          <Button
            size="desk"
            variant="rest"
            onClick={() => (discarding ? discard.mutate() : setDiscarding(true))}
            onBlur={() => setDiscarding(false)}
          >
            {discarding ? 'Press again: the draft goes' : 'Discard'}
          </Button>
        )}
      </div>
    </section>
  )
}

const Readers = ({ path }: { path: string }) => {
  const readers = useQuery<ReaderView[], Problem>({
    queryKey: ['readers', path],
    queryFn: () => ask('GET', `${path}/readers`),
  })
  const not = readers.data?.filter((r) => r.concerned && !r.at).length ?? 0
  return (
    <div className={classes.pane}>
      <h2>{not === 0 ? 'Everybody whom it concerns has read it' : `${not} whom it concerns have not read it yet`}</h2>
      <Table className={classes.table}>
        <Table.Tbody>
          {readers.data?.map((r) => (
            <Table.Tr key={r.id}>
              <Table.Td>
                <b>{r.name}</b>
              </Table.Td>
              <Table.Td>{r.role}</Table.Td>
              <Table.Td>
                {r.at
                  ? `read ${r.at.slice(0, 16).replace('T', ' ')} UTC`
                  : r.concerned
                    ? 'not yet'
                    : 'nothing in it concerns them'}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </div>
  )
}
