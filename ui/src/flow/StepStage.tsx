import { useHotkeys } from '@mantine/hooks'
import { useState } from 'react'
import type { ItemView, PartView } from '../api.gen'
import { Action } from '../app/Action'
import { Added, Caution } from '../app/Notice'
import { Pennant } from '../app/Pennant'
import { Slot } from '../app/Slot'
import { WordsForm } from '../app/WordsForm'
import { GoOn } from '../departure/GoOn'
import { pendingSteps, type Live } from '../departure/useDeparture'
import { Walk } from '../walkaround/Walk'
import { FlightDeck } from './FlightDeck'
import { OtherSeat } from './OtherSeat'
import classes from './StepStage.module.css'
import { Marks } from './Marks'
import { MeasureForm } from './MeasureForm'
import { v7 } from 'uuid'

/** Rows of the list below the step at hand. */
const ROWS = 7

const visitsOf = (items: ItemView[]): ItemView[][] =>
  items.reduce<ItemView[][]>((visits, i) => {
    const last = visits.at(-1)
    if (last?.[0]?.place === i.place) last.push(i)
    else visits.push([i])
    return visits
  }, [])

type Saying = 'find' | 'not-today' | 'does-not-fit'

const SAYINGS: Record<Saying, { label: string; action: string }> = {
  find: { label: 'What is not as it should be?', action: 'Raise the find' },
  'not-today': { label: 'Why not today?', action: 'Not today' },
  'does-not-fit': { label: 'What does not fit, on this tail or today? Fleet standards read it.', action: 'Tell fleet standards' },
}

interface StepStageProps {
  live: Live
  part: PartView
  /** A step to begin at; the next open one when empty. */
  wanted: string
  /** The next procedure of this stage with something open. */
  next: { title: string; go: () => void } | undefined
  onGo: (stage: string) => void
}

/** A walkaround or a flow: the step at hand at arm's length, the rest of its place below, the map beside it. */
export const StepStage = ({ live, part, wanted, next, onGo }: StepStageProps) => {
  const { view, seat, outbox } = live
  const [chosen, setChosen] = useState(wanted)
  const [saying, setSaying] = useState<'' | Saying>('')
  const pending = pendingSteps(live)
  const steps = view.progress.steps
  const statusOf = (i: ItemView): string => (pending.has(i.id) ? 'sending' : (steps[i.id]?.status ?? 'open'))
  const open = (i: ItemView): boolean => !pending.has(i.id) && !steps[i.id]?.settled
  const owed = (i: ItemView): boolean => open(i) && i.seats.includes(seat) && (steps[i.id]?.status === 'again' || !steps[i.id]?.marks.some((m) => m.seat === seat))
  const item = part.items.find((i) => i.id === chosen) ?? part.items.find(owed) ?? part.items.find(open)
  const mine = item !== undefined && item.seats.includes(seat)
  // A step of both seats stays open until both have answered; who has answered goes on.
  const answered = item !== undefined && mine && open(item) && !owed(item)
  const place = view.card!.places.find((p) => p.id === item?.place)
  // A place may be visited twice, such as a panel before and after a look outside: each visit is a run of its own.
  const visits = visitsOf(part.items)
  const visit = visits.findIndex((v) => v.some((i) => i.id === item?.id))
  const placesInOrder = visits.map((v) => v[0]?.place ?? '')
  const here = visits[visit] ?? []
  const openHere = here.filter(owed)
  // A value has to be read and entered; the rest of a place is answered with one press.
  const plainHere = openHere.filter((i) => !i.measure)
  const done = part.items.filter((i) => !open(i)).length
  const placeName = (id: string) => view.card!.places.find((p) => p.id === id)?.name ?? id
  // This place whole, then as many of the next ones as fit, so that nobody looks ahead in vain.
  const after = visits.slice(visit + 1).flat()
  const listed = item ? [...here, ...after.slice(0, Math.max(0, ROWS - here.length))] : part.items.slice(-ROWS)
  const cannotSkip = view.progress.tiedOff !== undefined

  const act = (kind: string, body: Record<string, unknown>, of: ItemView) => outbox.put(kind, { step: of.id, ...body }, of.challenge)
  // Held fast while words are written: the other seat's progress must not move the step under them.
  const say = (what: Saying) => {
    setChosen(item?.id ?? '')
    setSaying(what)
  }
  const markDone = () => {
    if (!item) return
    act('step-done', {}, item)
    setChosen('')
  }
  const markPlace = () => {
    plainHere.forEach((i) => act('step-done', {}, i))
    setChosen('')
  }
  const undo = () => {
    const said = part.items
      .flatMap((i) => (steps[i.id]?.marks ?? []).filter((m) => m.seat === seat && m.outcome !== 'find').map((m) => ({ i, at: m.at })))
      .sort((a, b) => b.at.localeCompare(a.at))[0]
    if (!said) return
    act('step-undone', {}, said.i)
    setChosen(said.i.id)
  }
  const goToPlace = (id: string) => {
    const there = part.items.filter((i) => i.place === id)
    setChosen((there.find(open) ?? there[0])?.id ?? '')
    setSaying('')
  }
  const move = (by: number) => {
    const at = part.items.findIndex((i) => i.id === item?.id)
    setChosen(part.items[Math.max(0, Math.min(part.items.length - 1, at + by))]?.id ?? '')
    setSaying('')
  }
  useHotkeys([
    ['ArrowDown', () => move(1)],
    ['ArrowUp', () => move(-1)],
  ])

  const walk = part.kind === 'walkaround'
  return (
    <div className={classes.stage}>
      <section className={classes.work}>
        {item ? (
          <>
            <p className={classes.where}>
              <Pennant seats={item.seats} /> {place?.name} · {walk ? 'station' : 'panel'} {visit + 1} of {visits.length}
              <span className={classes.count}>
                {done} of {part.items.length}
              </span>
            </p>
            <h1 className={classes.challenge}>{item.challenge}</h1>
            <p className={classes.response}>{item.response}</p>
            {item.waits && <p className={classes.aside2}>Then a wait of {item.waits}.</p>}
            {item.turn && <p className={classes.aside2}>In turn: {item.turn}.</p>}
            {item.added && <Added>{item.added}</Added>}
            {item.caution && <Caution>{item.caution}</Caution>}
            {statusOf(item) === 'again' && <Added>asked again, it was opened since it was last done</Added>}
            <Marks step={steps[item.id]} zone={view.header.zone} />
            {saying === '' ? (
              <div className={classes.actions}>
                {item.measure ? (
                  <MeasureForm
                    key={item.id} draft={`${view.header.id}/${item.id}/value`} measure={item.measure} disabled={!mine || answered || cannotSkip}
                    onValue={(value) => {
                      act('measured', { value }, item)
                      setChosen('')
                    }}
                  />
                ) : (
                  <Action hotkey="Space" shown="space" main disabled={!mine || answered || cannotSkip} onAct={markDone}>
                    {walk ? 'As it should be' : 'Done'}
                  </Action>
                )}
                <Action hotkey="f" disabled={!seat || cannotSkip} onAct={() => say('find')}>
                  Find
                </Action>
                <Action hotkey="n" disabled={!mine || cannotSkip} onAct={() => say('not-today')}>
                  Not today
                </Action>
              </div>
            ) : (
              <WordsForm
                key={`${item.id}/${saying}`} draft={`${view.header.id}/${item.id}/${saying}`}
                label={SAYINGS[saying].label} action={SAYINGS[saying].action}
                onCancel={() => setSaying('')}
                onSay={(words) => {
                  if (saying === 'find') act('find-raised', { find: v7(), note: words }, item)
                  else if (saying === 'does-not-fit') act('does-not-fit', { words }, item)
                  else act('step-not-today', { reason: words }, item)
                  setSaying('')
                  if (saying !== 'does-not-fit') setChosen('')
                }}
              />
            )}
            {!mine && seat !== '' && <p className={classes.notYours}>This is the other seat's. You can still raise a find.</p>}
            {answered && <p className={classes.notYours}>You have answered; the other seat has not yet.</p>}
            {(!mine || answered) && next && (
              <div className={classes.actions}>
                <GoOn progress={view.progress} from={part.stage} next={next} onGo={onGo} />
              </div>
            )}
          </>
        ) : (
          <>
            <p className={classes.where}>{part.title}</p>
            <h1 className={classes.challenge}>All {part.items.length} answered</h1>
            <div className={classes.actions}>
              <GoOn progress={view.progress} from={part.stage} {...(next && { next })} onGo={onGo} />
            </div>
          </>
        )}
        <ul className={classes.list} aria-label={place?.name ?? part.title}>
          {listed.map((i, n) => (
            <li key={i.id}>
              {i.place !== (listed[n - 1]?.place ?? item?.place) && <p className={classes.next}>{placeName(i.place)}</p>}
              <button type="button" className={classes.row} data-now={i.id === item?.id || undefined} data-settled={!open(i) || undefined} onClick={() => setChosen(i.id)}>
                <Slot status={statusOf(i)} />
                <span className={classes.rowChallenge}>{i.challenge}</span>
                <span className={classes.rowResponse}>{steps[i.id]?.disagreed ? 'two answers' : i.response}</span>
              </button>
            </li>
          ))}
        </ul>
        <div className={classes.foot}>
          {plainHere.length > 0 && mine && (
            <Action hotkey="shift+Space" shown="shift space" onAct={markPlace}>
              {walk ? 'Whole station as it should be' : 'Whole panel done'}
            </Action>
          )}
          <Action hotkey="z" onAct={undo} disabled={!seat || cannotSkip}>
            Undo
          </Action>
          {item && (
            <Action hotkey="d" onAct={() => say('does-not-fit')} disabled={!seat || cannotSkip}>
              This does not fit
            </Action>
          )}
        </div>
      </section>
      <aside className={classes.aside}>
        {walk ? (
          <Walk planform={view.card!.planform} places={view.card!.places} route={placesInOrder} here={item?.place ?? ''} left={new Set(part.items.filter(open).map((i) => i.place))} onPlace={goToPlace} />
        ) : (
          <FlightDeck places={view.card!.places} path={placesInOrder} at={visit} left={new Set(part.items.filter(open).map((i) => i.place))} onPlace={goToPlace} />
        )}
        <OtherSeat progress={view.progress} seat={seat} />
      </aside>
    </div>
  )
}
