import { NativeSelect, Portal } from '@mantine/core'
import { useIdle } from '@mantine/hooks'
import { useState } from 'react'
import { Action } from '../app/Action'
import { clockTime, serverNow, span, useNow } from '../app/clock'
import { stored } from '../app/stored'
import classes from './Away.module.css'
import { lastSaid } from '../live/lastSaid'
import type { Live } from '../live/useDeparture'

const AFTER = 'away/after-minutes'
const CHOICES = [2, 3, 5, 10, 0]
const MINUTE_MS = 60_000

/** What this seat did last: the one both are sure of, and two before. */
const SHOWN = 3

const lastDone = ({ view, seat }: Live) => {
  const { steps } = view.progress
  // Of a step that the other seat still has to answer, nobody can say that both are sure.
  const sure = (view.card?.parts ?? []).flatMap((p) =>
    p.items.filter((i) => steps[i.id]?.settled).map((item) => ({ id: item.id, item, stage: p.stage })),
  )
  return lastSaid(sure, steps, seat, (m) => m.outcome === 'done').slice(0, SHOWN)
}

/** Who is called away comes back to where both were sure, one step back. */
export const Away = ({ live, onBack }: { live: Live; onBack: (stage: string, step: string) => void }) => {
  const { view, seat, outbox } = live
  const now = useNow()
  const since = view.progress.seats.find((s) => s.seat === seat)?.away
  if (!since) return null
  const done = lastDone(live)
  const goOn = () => {
    outbox.put('went-on', {}, 'going on')
    if (done[0]) onBack(done[0].stage, done[0].item.id)
  }
  return (
    <Portal>
      <section className={classes.away} role="dialog" aria-modal="true" aria-label="Called away">
        <p className={classes.since}>
          Called away at {clockTime(since, view.header.zone)}, {span(now - Date.parse(since))}
        </p>
        <h1>{done[0] ? done[0].item.challenge : 'Nothing was done yet'}</h1>
        {done[0] && (
          <p className={classes.last}>{done[0].item.response}. This you did last; it is shown to you again.</p>
        )}
        <ol>
          {done.slice(1).map((d) => (
            <li key={d.item.id}>
              {d.item.challenge}, {d.item.response}
            </li>
          ))}
        </ol>
        <Action hotkey="Space" shown="space" main onAct={goOn}>
          {done[0] ? 'Go on from there' : 'Go on'}
        </Action>
        <AskAfter />
      </section>
    </Portal>
  )
}

const AskAfter = () => {
  const [after, setAfter] = useState(() => stored.get(AFTER, CHOICES[1]!))
  return (
    <NativeSelect
      label="Ask whether I was called away"
      value={String(after)}
      onChange={(e) => {
        stored.set(AFTER, Number(e.currentTarget.value))
        setAfter(Number(e.currentTarget.value))
      }}
      data={CHOICES.map((m) => ({ value: String(m), label: m === 0 ? 'never' : `after ${m} min without a touch` }))}
    />
  )
}

/** Asked of this quiet time, and answered. */
const ANSWERED = -1

/** After a time without a touch it is asked, not assumed. */
export const AskAway = ({ live }: { live: Live }) => {
  const minutes = stored.get(AFTER, CHOICES[1]!)
  const idle = useIdle(Math.max(1, minutes) * MINUTE_MS, { initialState: false })
  const [asked, setAsked] = useState(0)
  const { view, seat, outbox } = live
  const away = view.progress.seats.find((s) => s.seat === seat)?.away
  const asks = minutes > 0 && idle && seat !== '' && view.card !== undefined && !view.progress.tiedOff && !away
  // Kept while it is answered, and asked once a quiet time: the touch that answers it is told of in no order.
  if (asks && asked === 0) setAsked(serverNow() - minutes * MINUTE_MS)
  if (!idle && asked === ANSWERED) setAsked(0)
  if (asked <= 0 || away) return null
  return (
    <section className={classes.asked} role="status">
      <b>Nothing touched since {clockTime(asked, view.header.zone)}. Were you called away?</b>
      <div>
        <Action
          hotkey="y"
          onAct={() => {
            outbox.put('interrupted', {}, 'being called away', asked)
            setAsked(ANSWERED)
          }}
        >
          Yes
        </Action>
        <Action hotkey="j" onAct={() => setAsked(ANSWERED)}>
          No
        </Action>
      </div>
    </section>
  )
}
