import { Button, NativeSelect, NumberInput, TextInput, Textarea } from '@mantine/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { getRouteApi, Link } from '@tanstack/react-router'
import { useState } from 'react'
import type { ActForm, DefectView, ListEntryView, Me, TechLogView } from '../api.gen'
import { Fetching } from '../app/Fetching'
import { ask, type Problem } from '../app/api'
import { Fold } from '../app/Fold'
import { day } from '../app/clock'
import { ProblemNotice } from '../app/Notice'
import { TopBar } from '../app/TopBar'
import classes from './TechLog.module.css'

const route = getRouteApi('/tails/$tail')

/** The technical log of one tail: open, deferred with the days left, and what was. */
export const TechLogPage = ({ me }: { me: Me }) => {
  const { tail } = route.useParams()
  const client = useQueryClient()
  const log = useQuery<TechLogView, Problem>({
    queryKey: ['tech-log', tail],
    queryFn: () => ask('GET', `/api/tails/${tail}/log`),
    refetchInterval: 15_000,
  })
  const act = useMutation<TechLogView, Problem, ActForm>({
    mutationFn: (form) => ask('POST', `/api/tails/${tail}/log`, form),
    onSuccess: (view) => client.setQueryData(['tech-log', tail], view),
  })
  const [raising, setRaising] = useState('')
  if (!log.data) return log.error ? <ProblemNotice problem={log.error} /> : <Fetching what="the technical log" />
  const { open, deferred, cleared, yours } = log.data
  const list = (title: string, defects: DefectView[], none: string) => (
    <section>
      <h2>
        {title} <span>{defects.length}</span>
      </h2>
      {defects.length === 0 && <p className={classes.none}>{none}</p>}
      {defects.map((d) => (
        <Defect
          key={d.id}
          defect={d}
          yours={yours && defects !== cleared}
          entries={log.data.entries}
          onAct={act.mutate}
        />
      ))}
    </section>
  )
  return (
    <>
      <TopBar me={me} />
      <main className={classes.main}>
        <p className={classes.back}>
          <Link to="/tails">All technical logs</Link>
        </p>
        <h1 className={classes.h1}>{tail}</h1>
        <p className={classes.facts}>{log.data.list}. Licensed maintenance releases; this log does not.</p>
        <p className={classes.out}>
          <a href={`/api/tails/${tail}/log.pdf`} target="_blank" rel="noreferrer">
            Print
          </a>
          <a href={`/api/tails/${tail}/log.csv`}>CSV</a>
          <a href={`/api/tails/${tail}/due.ics`}>Calendar of last days</a>
          <a href={`/api/dispatch-lists/${log.data.type}`}>Dispatch list</a>
          <Link to="/tails/$tail/controls" params={{ tail }}>
            Control checks over months
          </Link>
          <Link to="/tails/$tail/readings" params={{ tail }}>
            Readings over months
          </Link>
        </p>
        {act.error && <ProblemNotice problem={act.error} />}
        {list('Open, not deferred', open, 'Nothing is open.')}
        {list('Deferred', deferred, 'Nothing is deferred.')}
        {yours && (
          <form
            className={classes.raise}
            onSubmit={(e) => {
              e.preventDefault()
              act.mutate({ kind: 'raised', words: raising }, { onSuccess: () => setRaising('') })
            }}
          >
            <TextInput
              label="A defect found in maintenance"
              value={raising}
              onChange={(e) => setRaising(e.currentTarget.value)}
            />
            <Button type="submit" size="seat" disabled={raising.trim() === ''}>
              Write it in
            </Button>
          </form>
        )}
        {list('Cleared', cleared, 'Nothing was cleared yet.')}
      </main>
    </>
  )
}

interface DefectProps {
  defect: DefectView
  yours: boolean
  entries: ListEntryView[]
  onAct: (form: ActForm) => void
}

const Defect = ({ defect, yours, entries, onAct }: DefectProps) => {
  const [doing, setDoing] = useState<'' | 'cleared' | 'deferred' | 'extended'>('')
  const { terms } = defect
  return (
    <article className={classes.defect} data-late={terms?.runOut || undefined}>
      <p className={classes.what}>
        <b>{defect.what}</b>
        {terms && <span>{terms.left}</span>}
      </p>
      <p className={classes.facts}>
        {defect.raisedBy}, {day(defect.raisedAt)}
        {terms && ` · ${terms.entry} ${terms.title}, category ${terms.category}, until the end of ${terms.lastDay}`}
      </p>
      {terms?.operating && <p className={classes.facts}>Crew: {terms.operating}</p>}
      {terms?.placard && <p className={classes.facts}>Placard: {terms.placard}</p>}
      <Fold line={defect.lines.length === 1 ? '1 line' : `${defect.lines.length} lines`}>
        <ul>
          {defect.lines.map((l) => (
            <li key={l.at + l.words}>
              {l.at.slice(0, 16).replace('T', ' ')} · {l.by}: {l.words}
            </li>
          ))}
        </ul>
      </Fold>
      {yours && doing === '' && (
        <div className={classes.acts}>
          <Button size="seat" onClick={() => setDoing('cleared')}>
            Clear
          </Button>
          {!terms && (
            <Button size="seat" onClick={() => setDoing('deferred')}>
              Defer
            </Button>
          )}
          {terms?.mayBeExtended && (
            <Button size="seat" onClick={() => setDoing('extended')}>
              Extend
            </Button>
          )}
        </div>
      )}
      {doing !== '' && (
        <ActFields
          kind={doing}
          defect={defect}
          entries={entries}
          onCancel={() => setDoing('')}
          onAct={(form) => {
            onAct(form)
            setDoing('')
          }}
        />
      )}
    </article>
  )
}

const ASKS = { cleared: 'What was done?', deferred: 'Why does it wait?', extended: 'Why longer?' }
const DOES = { cleared: 'Clear it', deferred: 'Defer it', extended: 'Extend it' }

interface ActFieldsProps {
  kind: 'cleared' | 'deferred' | 'extended'
  defect: DefectView
  entries: ListEntryView[]
  onAct: (form: ActForm) => void
  onCancel: () => void
}

const ActFields = ({ kind, defect, entries, onAct, onCancel }: ActFieldsProps) => {
  const [words, setWords] = useState('')
  const [entry, setEntry] = useState(entries[0]?.id ?? '')
  const [count, setCount] = useState(1)
  const [day, setDay] = useState(defect.terms?.latest ?? '')
  const chosen = entries.find((e) => e.id === entry)
  return (
    <form
      className={classes.fields}
      onSubmit={(e) => {
        e.preventDefault()
        onAct({
          kind,
          defect: defect.id,
          words,
          ...(kind === 'deferred' && { entry, count }),
          ...(kind === 'extended' && { lastDay: day }),
        })
      }}
    >
      {kind === 'deferred' && (
        <>
          <NativeSelect
            label="Entry of the list"
            value={entry}
            onChange={(e) => setEntry(e.currentTarget.value)}
            data={entries.map((e) => ({ value: e.id, label: `${e.id} ${e.title}` }))}
          />
          {chosen && (
            <p className={classes.facts}>
              Category {chosen.category}: {chosen.days} days from the day after it was found. {chosen.most} may be
              out.
            </p>
          )}
          {chosen && chosen.most > 1 && (
            <NumberInput
              label="How many?"
              value={count}
              min={1}
              max={chosen.most}
              onChange={(v) => setCount(Number(v) || 1)}
            />
          )}
        </>
      )}
      {kind === 'extended' && (
        <TextInput
          type="date"
          label={`Last day, ${defect.terms?.latest} at the latest`}
          value={day}
          onChange={(e) => setDay(e.currentTarget.value)}
        />
      )}
      <Textarea
        label={ASKS[kind]}
        value={words}
        autosize
        minRows={2}
        maxLength={2000}
        onChange={(e) => setWords(e.currentTarget.value)}
      />
      <div className={classes.acts}>
        <Button type="submit" size="seat" variant="main" disabled={words.trim() === ''}>
          {DOES[kind]}
        </Button>
        <Button size="seat" onClick={onCancel}>
          Back
        </Button>
      </div>
    </form>
  )
}
