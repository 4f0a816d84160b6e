import { Checkbox, Textarea } from '@mantine/core'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import type { CardView, Progress, ReportView } from '../api.gen'
import { ask, asProblem, type Problem } from '../app/api'
import { Action } from '../app/Action'
import { ProblemNotice } from '../app/Notice'
import { Pennant } from '../app/Pennant'
import { useSeatWords } from '../app/seating'
import { useDraft } from '../app/useDraft'
import { first } from '../app/words'
import { GoOn } from '../live/GoOn'
import { reportHere } from '../live/here'
import type { Live } from '../live/useDeparture'
import { TechStatus } from '../dispatch/TechStatus'
import classes from './DayStage.module.css'
import { Schools } from './Schools'

/** Seat, station report and state of the day; they cut the card. */
export const DayStage = ({ live, onGo }: { live: Live; onGo: (stage: string) => void }) => {
  const { view, seat, me, outbox } = live
  const id = view.header.id
  const day = view.card?.day
  const mine = view.header.crew.find((c) => c.id === me.id)
  const [text, setText, dropText] = useDraft(`report/${id}`, day?.report ?? '')
  const [flagText, setFlags, dropFlags] = useDraft(`day/${id}`, '')
  // Until the crew says otherwise: the first flight of the day, and nothing else.
  const so: string[] = flagText
    ? (JSON.parse(flagText) as string[])
    : day
      ? day.circumstances.filter((c) => c.so).map((c) => c.id)
      : ['first-flight']
  const [fetched, setFetched] = useState('')
  const latest = useMutation<ReportView, Problem>({
    mutationFn: () => ask<ReportView>('GET', `/api/departures/${id}/report`),
    onSuccess: (r) => {
      setText(r.text)
      setFetched(r.text)
    },
  })
  const reading = useQuery<string[], Problem>({
    queryKey: ['reading', text],
    queryFn: () =>
      ask<ReportView>('POST', '/api/station-reports/reading', text).then(
        (r) => r.facts,
        (p: Problem) => (p.status === 0 ? reportHere(text) : Promise.reject(p)),
      ),
    enabled: text.trim() !== '',
    retry: false,
    staleTime: 30_000,
  })
  const fetchLatest = latest.mutate
  useEffect(() => {
    if (text === '' && !day) fetchLatest()
  }, [text, day, fetchLatest])

  const simulated = text === fetched || (day?.simulated === true && text === day.report)
  const is = (of: string) => view.header.crew.find((c) => c.seat === of)
  const ownChoice = view.header.schools.filter((s) => !s.byDefault).length
  const sending = live.out.waiting.some((w) => w.kind === 'day-set')
  const named = useSeatWords()
  const set = (what: string, on: boolean) =>
    setFlags(JSON.stringify(on ? [...so, what] : so.filter((c) => c !== what)))
  const cut = () => {
    outbox.put(
      'day-set',
      { report: text, simulated, circumstances: so.filter((c) => view.header.asks.some((a) => a.id === c)) },
      'the state of the day',
    )
    dropText()
    dropFlags()
  }
  return (
    <div className={classes.day}>
      <section>
        <h1 className={classes.h1}>Status and day</h1>
        {view.header.remark && (
          <p className={classes.remark}>
            <b>From operations:</b> {view.header.remark}
          </p>
        )}
        <div className={classes.seats}>
          {view.progress.seats.map((s) => (
            <p key={s.seat} className={classes.seat}>
              <Pennant seats={[s.seat]} /> <b>{s.name}</b>
              {is(s.seat)?.commander ? ', commander' : ''}
              {is(s.seat)?.flying ? ', flying' : ', monitoring'}: {named(s.seat)}{' '}
              {s.taken ? 'taken' : 'not taken yet'}
            </p>
          ))}
          {mine && !seat && (
            <Action
              hotkey="t"
              main
              onAct={() => outbox.put('seat-taken', { seat: mine.seat }, `the ${named(mine.seat)}`)}
            >
              Take the {named(mine.seat)}
            </Action>
          )}
          {!mine && <p>You are looking on: you are not on this crew.</p>}
        </div>
        <Textarea
          label={`Station report, ${view.header.from.name}`}
          value={text}
          onChange={(e) => setText(e.currentTarget.value)}
          autosize
          minRows={2}
          spellCheck={false}
          styles={{ input: { fontSize: '1.15rem' } }}
        />
        <p className={classes.source}>
          {text === '' ? 'No report yet.' : simulated ? 'From the simulated station service.' : 'Typed over.'}
        </p>
        {latest.isError && <ProblemNotice problem={asProblem(latest.error)} />}
        {reading.data && (
          <ul className={classes.facts}>
            {reading.data.map((f) => (
              <li key={f}>{f}</li>
            ))}
          </ul>
        )}
        {reading.error && <ProblemNotice problem={reading.error} />}
        <div className={classes.flags}>
          {view.header.asks.map((a) => (
            <Checkbox
              key={a.id}
              size="md"
              label={first(a.words)}
              checked={so.includes(a.id)}
              onChange={(e) => set(a.id, e.currentTarget.checked)}
            />
          ))}
        </div>
        <div className={classes.actions}>
          <Action
            hotkey="c"
            main={seat !== '' && !view.card}
            disabled={!seat || !reading.data || sending}
            onAct={cut}
          >
            {view.card ? 'Cut the card again' : 'Cut the card'}
          </Action>
          <Action hotkey="r" onAct={() => latest.mutate()}>
            Fetch the report
          </Action>
        </div>
      </section>
      <aside className={classes.card}>
        <TechStatus live={live} />
        <p className={classes.pack}>
          {view.header.pack}, revision {view.header.revision}.
        </p>
        <Schools
          line={`How this fleet does it: ${ownChoice} of ${view.header.schools.length} by its own choice`}
          schools={view.header.schools}
        />
        {view.card ? (
          <CardSummary card={view.card} progress={view.progress} onGo={onGo} />
        ) : (
          <p>The card of {view.header.tail} for today is cut from it once the day is known.</p>
        )}
      </aside>
    </div>
  )
}

interface SummaryProps {
  card: CardView
  progress: Progress
  onGo: (stage: string) => void
}

const CardSummary = ({ card, progress, onGo }: SummaryProps) => {
  const added = card.parts.flatMap((p) => p.items.filter((i) => i.added).map((i) => ({ ...i, part: p.title })))
  const all = card.parts.reduce((n, p) => n + p.items.length, 0)
  return (
    <>
      <h2 className={classes.h2}>
        {all} steps today, {added.length} of them added, {card.leftOut.length} left out
      </h2>
      <GoOn progress={progress} from="day" onGo={onGo} />
      <h3 className={classes.h3}>Left out, and why</h3>
      <ul className={classes.steps}>
        {card.leftOut.map((l) => (
          <li key={l.step}>
            <b>{l.challenge}</b> {l.why}
          </li>
        ))}
        {card.leftOut.length === 0 && <li>Nothing.</li>}
      </ul>
      <h3 className={classes.h3}>Added, and why</h3>
      <ul className={classes.steps}>
        {added.map((i) => (
          <li key={i.id}>
            <b>{i.challenge}</b> {i.added}
          </li>
        ))}
        {added.length === 0 && <li>Nothing.</li>}
      </ul>
    </>
  )
}
