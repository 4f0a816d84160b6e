import { Button } from '@mantine/core'
import { useState } from 'react'
import type { ItemView, PartView } from '../api.gen'
import { Action } from '../app/Action'
import { clockTime } from '../app/clock'
import { Pennant } from '../app/Pennant'
import { PrintedNumber } from '../flow/PrintedNumber'
import { GoOn } from '../live/GoOn'
import { lastSaid } from '../live/lastSaid'
import type { Live } from '../live/useDeparture'
import { Answer } from '../flow/Answer'
import { Closed } from '../flow/Closed'
import { closedBy } from '../live/gates'
import { SayingForm, type WordsFor } from '../flow/SayingForm'
import { StepRemarks } from '../flow/StepRemarks'
import { useInSight } from '../flow/useInSight'
import { among, statusOf as statusShown } from '../live/marks'
import { ItemList } from './ItemList'
import classes from './ChecklistStage.module.css'

interface ChecklistStageProps {
  live: Live
  part: PartView
  /** The next procedure of this stage with something open. */
  next: { title: string; go: () => void } | undefined
  onGo: (stage: string, step?: string) => void
}

/** Challenge and response, in order, to the line and below it: read on one device, answered on the other. */
export const ChecklistStage = ({ live, part, next, onGo }: ChecklistStageProps) => {
  const { view, seat, outbox } = live
  const [saying, setSaying] = useState<WordsFor>()
  const [below, setBelow] = useState(false)
  const [chosen, setChosen] = useState('')
  const { progress, header } = view
  const its = progress.parts[part.id]
  const steps = progress.steps
  const statusOf = (i: ItemView): string => statusShown(progress, i.id)
  const held = part.items.filter((i) => statusOf(i) === 'later')
  const asked = part.items.find((i) => i.id === its?.next)
  const item = held.find((i) => i.id === chosen) ?? asked
  const stopped = its?.stopped ?? ''
  const begun = part.items.some((i) => statusOf(i) !== 'open')
  const atLine = item?.belowLine === true && !part.items.some((i) => i.belowLine && statusOf(i) !== 'open')
  const lineTime = steps[part.items.filter((i) => !i.belowLine).at(-1)?.id ?? '']?.marks.at(-1)?.at
  const owes = item ? (steps[item.id]?.owes ?? item.seats) : []
  const mine = item !== undefined && among(owes, seat)
  const name = (s: string) =>
    header.crew
      .find((c) => c.seat === s)
      ?.name.split(' ')
      .at(-1) ?? s
  // Each on a device of their own: the challenge stands on the reader's, the answer is given on the owner's.
  const apart = progress.seats.filter((s) => s.taken).length > 1
  const reading = header.reader === seat
  const onlyReads = apart && reading && !mine
  const onlyAnswers = apart && !reading && mine
  const value = item && progress.values[item.id]
  const tiedOff = progress.tiedOff !== undefined
  const head = useInSight<HTMLParagraphElement>(item?.id)
  const gates = item ? closedBy(progress, item.id) : []
  const act = (kind: string, body: Record<string, unknown>, label: string) => outbox.put(kind, body, label)
  const say = (kind: string, body: Record<string, unknown>, of: ItemView) => {
    act(kind, { step: of.id, ...body }, of.challenge)
    setChosen('')
  }
  return (
    <div className={classes.stage}>
      <section>
        <p className={classes.where} ref={head}>
          {part.title} · {its?.done ?? 0} of {part.items.length} · {caller(live)},{' '}
          {reading ? 'you read' : `${name(header.reader)} reads`}
        </p>
        {held.length > 0 && !stopped && (
          <p className={classes.held} role="status">
            <b>Held:</b>
            {held.map((h) => (
              <Button
                key={h.id}
                size="seat"
                variant="rest"
                aria-pressed={h.id === item?.id}
                onClick={() => setChosen(h.id)}
              >
                {h.challenge}, {steps[h.id]?.marks.find((m) => m.outcome === 'later')?.words}
              </Button>
            ))}
          </p>
        )}
        {stopped ? (
          <>
            <h1 className={classes.challenge}>
              Stopped by {stopped}
              {asked && ` at ${asked.challenge}`}
            </h1>
            <p className={classes.response}>
              Resuming: {header.schools.find((s) => s.matter.startsWith('Resuming'))?.school.toLowerCase()}.
            </p>
            <div className={classes.actions}>
              <Action
                hotkey="r"
                main
                disabled={!seat || tiedOff}
                onAct={() => act('checklist-resumed', { checklist: part.id }, `resuming ${part.title}`)}
              >
                Resume
              </Action>
            </div>
          </>
        ) : !item ? (
          <>
            <h1 className={classes.challenge}>{part.title} checklist complete</h1>
            {its?.finished && <p className={classes.response}>at {clockTime(its.finished, header.zone)}</p>}
            <div className={classes.actions}>
              <GoOn progress={progress} from={part.stage} {...(next && { next })} onGo={onGo} />
            </div>
          </>
        ) : atLine && !below && gates.length === 0 ? (
          <>
            <h1 className={classes.challenge}>Complete to the line</h1>
            <p className={classes.response}>
              {lineTime ? `at ${clockTime(lineTime, header.zone)}. ` : ''}Hold here until you are at the runway with
              the clearance.
            </p>
            <div className={classes.actions}>
              <Action hotkey="b" main disabled={tiedOff} onAct={() => setBelow(true)}>
                Below the line
              </Action>
            </div>
          </>
        ) : (
          <>
            {onlyReads && <p className={classes.part}>Read aloud</p>}
            {onlyAnswers && <p className={classes.part}>{name(header.reader)} reads, you look and answer</p>}
            <h1 className={classes.challenge} data-heard={onlyAnswers || undefined}>
              <PrintedNumber item={item} />
              {item.challenge}
            </h1>
            {!(value?.back && mine) && (
              <p className={classes.response}>{value?.back ? `${value.shown}, by ${value.from}` : item.response}</p>
            )}
            {value && !value.back && value.accepted.length > 0 && (
              <p className={classes.part}>
                {value.shown}, {value.from}
              </p>
            )}
            <StepRemarks view={view} item={item} />
            <p className={classes.owner}>
              <Pennant seats={item.seats} />{' '}
              {owes
                .map((s, n) => (s === seat ? (n === 0 ? 'You answer' : 'you answer') : `${name(s)} answers`))
                .join(', ')}
            </p>
            {!saying && gates.length > 0 && (
              <Closed
                gates={gates}
                parts={view.card!.parts}
                part={part}
                mine={among(item.seats, seat) && !tiedOff}
                onGo={onGo}
                onPass={() => setSaying('pass')}
              />
            )}
            {saying ? (
              <SayingForm
                live={live}
                item={item}
                saying={saying}
                onCancel={() => setSaying(undefined)}
                onSaid={() => {
                  setSaying(undefined)
                  setChosen('')
                }}
              />
            ) : (
              <div className={classes.actions}>
                {!onlyReads && (
                  <Answer
                    live={live}
                    item={item}
                    label="Seen and answered"
                    main={gates.length === 0}
                    disabled={!mine || tiedOff || gates.length > 0}
                    onSay={(...said) => said.forEach(([kind, body]) => say(kind, body, item))}
                  />
                )}
                <div className={classes.ways}>
                  <Action
                    hotkey="a"
                    disabled={!mine || tiedOff || statusOf(item) === 'later' || item.id === part.items.at(-1)?.id}
                    onAct={() => setSaying('held')}
                  >
                    Hold it
                  </Action>
                  <Action
                    hotkey="s"
                    disabled={!seat || !begun || tiedOff}
                    onAct={() => act('checklist-stopped', { checklist: part.id }, `stopping ${part.title}`)}
                  >
                    Stop here
                  </Action>
                  <Action hotkey="n" disabled={!mine || tiedOff} onAct={() => setSaying('not-today')}>
                    Not today
                  </Action>
                </div>
              </div>
            )}
          </>
        )}
        <div className={classes.foot}>
          <Action
            hotkey="z"
            disabled={!seat || tiedOff || stopped !== ''}
            onAct={() => {
              const last = lastSaid(part.items, steps, seat, () => true)[0]
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
      <ItemList items={part.items} at={item} statusOf={statusOf} progress={progress} zone={header.zone} />
    </div>
  )
}

/** Who calls for a checklist, which is the commander. */
const caller = (live: Live): string => {
  const commander = live.view.header.crew.find((c) => c.commander)
  return commander?.seat === live.seat ? 'you call' : `${commander?.name.split(' ').at(-1) ?? 'the commander'} calls`
}
