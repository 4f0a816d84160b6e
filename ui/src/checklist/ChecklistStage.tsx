import { useState } from 'react'
import type { ItemView, PartView } from '../api.gen'
import { Action } from '../app/Action'
import { clockTime } from '../app/clock'
import { Added, Caution } from '../app/Notice'
import { Pennant } from '../app/Pennant'
import { Slot } from '../app/Slot'
import { WordsForm } from '../app/WordsForm'
import { GoOn } from '../departure/GoOn'
import type { Live } from '../departure/useDeparture'
import { Marks } from '../flow/Marks'
import classes from './ChecklistStage.module.css'

interface ChecklistStageProps {
  live: Live
  part: PartView
  /** The next procedure of this stage with something open. */
  next: { title: string; go: () => void } | undefined
  onGo: (stage: string) => void
}

/** Challenge and response, in order, to the line and below it; where it was stopped stays in sight. */
export const ChecklistStage = ({ live, part, next, onGo }: ChecklistStageProps) => {
  const { view, seat, outbox, me } = live
  const [saying, setSaying] = useState<'' | 'not-today' | 'does-not-fit'>('')
  const [below, setBelow] = useState(false)
  const progress = view.progress.parts[part.id]
  const steps = view.progress.steps
  const statusOf = (i: ItemView): string => steps[i.id]?.status ?? 'open'
  const item = part.items.find((i) => i.id === progress?.next)
  const stopped = progress?.stopped ?? ''
  const begun = part.items.some((i) => statusOf(i) !== 'open')
  const atLine = item?.belowLine === true && !part.items.some((i) => i.belowLine && statusOf(i) !== 'open')
  const lineTime = steps[part.items.filter((i) => !i.belowLine).at(-1)?.id ?? '']?.marks.at(-1)?.at
  const answered = item !== undefined && (steps[item.id]?.marks ?? []).some((m) => m.seat === seat)
  const mine = item !== undefined && item.seats.includes(seat) && !answered
  const name = (s: string) => view.header.crew.find((c) => c.seat === s)?.name.split(' ').at(-1) ?? s
  const owes = item?.seats.filter((s) => !(steps[item.id]?.marks ?? []).some((m) => m.seat === s)) ?? []
  const reading = view.header.reader === seat
  const tiedOff = view.progress.tiedOff !== undefined

  const act = (kind: string, body: Record<string, unknown>, label: string) => outbox.put(kind, body, label)
  return (
    <div className={classes.stage}>
      <section>
        <p className={classes.where}>
          {part.title} · {progress?.done ?? 0} of {part.items.length} · {reading ? 'you read' : `${name(view.header.reader)} reads`}
        </p>
        {stopped ? (
          <>
            <h1 className={classes.challenge}>{stopped}</h1>
            <p className={classes.response}>Resuming: {view.header.schools.find((s) => s.matter.startsWith('Resuming'))?.school.toLowerCase()}.</p>
            <div className={classes.actions}>
              <Action hotkey="r" main disabled={!seat || tiedOff} onAct={() => act('checklist-resumed', { checklist: part.id }, `resuming ${part.title}`)}>
                Resume
              </Action>
            </div>
          </>
        ) : !item ? (
          <>
            <h1 className={classes.challenge}>{part.title} checklist complete</h1>
            {progress?.finished && <p className={classes.response}>at {clockTime(progress.finished, view.header.zone)}</p>}
            <div className={classes.actions}>
              <GoOn progress={view.progress} from={part.stage} {...(next && { next })} onGo={onGo} />
            </div>
          </>
        ) : atLine && !below ? (
          <>
            <h1 className={classes.challenge}>Complete to the line</h1>
            <p className={classes.response}>
              {lineTime ? `at ${clockTime(lineTime, view.header.zone)}. ` : ''}Hold here until you are at the runway with the clearance.
            </p>
            <div className={classes.actions}>
              <Action hotkey="b" main disabled={tiedOff} onAct={() => setBelow(true)}>
                Below the line
              </Action>
            </div>
          </>
        ) : (
          <>
            <h1 className={classes.challenge}>{item.challenge}</h1>
            <p className={classes.response}>{item.response}</p>
            {item.added && <Added>{item.added}</Added>}
            {item.caution && <Caution>{item.caution}</Caution>}
            <Marks step={steps[item.id]} zone={view.header.zone} />
            <p className={classes.owner}>
              <Pennant seats={item.seats} /> {owes.map((s, n) => (s === seat ? (n === 0 ? 'You answer' : 'you answer') : `${name(s)} answers`)).join(', ')}
            </p>
            {saying ? (
              <WordsForm
                key={saying} draft={`${view.header.id}/${item.id}/${saying}`} onCancel={() => setSaying('')}
                label={saying === 'not-today' ? 'Why not today?' : 'What does not fit, on this tail or today? Fleet standards read it.'}
                action={saying === 'not-today' ? 'Not today' : 'Tell fleet standards'}
                onSay={(words) => {
                  if (saying === 'not-today') act('step-not-today', { step: item.id, reason: words }, item.challenge)
                  else act('does-not-fit', { step: item.id, words }, item.challenge)
                  setSaying('')
                }}
              />
            ) : (
              <div className={classes.actions}>
                <Action hotkey="Space" shown="space" main disabled={!mine || tiedOff} onAct={() => act('step-done', { step: item.id }, item.challenge)}>
                  Seen and answered
                </Action>
                <Action hotkey="s" disabled={!seat || !begun || tiedOff} onAct={() => act('checklist-stopped', { checklist: part.id }, `stopping ${part.title}`)}>
                  Stop here
                </Action>
                <Action hotkey="n" disabled={!mine || tiedOff} onAct={() => setSaying('not-today')}>
                  Not today
                </Action>
              </div>
            )}
          </>
        )}
        <div className={classes.foot}>
          <Action
            hotkey="z" disabled={!seat || tiedOff || stopped !== ''}
            onAct={() => {
              const last = part.items
                .filter((i) => (steps[i.id]?.marks ?? []).some((m) => m.seat === seat && view.header.crew.some((c) => c.id === me.id)))
                .at(-1)
              if (last) act('step-undone', { step: last.id }, last.challenge)
            }}
          >
            Undo
          </Action>
          {item && (
            <Action hotkey="d" disabled={!seat || tiedOff} onAct={() => setSaying('does-not-fit')}>
              This does not fit
            </Action>
          )}
        </div>
      </section>
      <ol className={classes.list}>
        {part.items.map((i, n) => (
          <li key={i.id} className={classes.item} data-now={i.id === item?.id || undefined} data-line={(i.belowLine && !part.items[n - 1]?.belowLine) || undefined} data-settled={statusOf(i) === 'done' || undefined}>
            <Slot status={statusOf(i)} />
            <span className={classes.itemChallenge}>{i.challenge}</span>
            <span className={classes.itemResponse}>{i.response}</span>
            <Pennant seats={i.seats} />
          </li>
        ))}
      </ol>
    </div>
  )
}
