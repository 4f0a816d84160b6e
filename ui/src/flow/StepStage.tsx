import { useState } from 'react'
import type { PartView } from '../api.gen'
import { Action } from '../app/Action'
import { Pennant } from '../app/Pennant'
import { GoOn } from '../live/GoOn'
import type { Live } from '../live/useDeparture'
import { among } from '../live/marks'
import { Answer } from './Answer'
import { Closed } from './Closed'
import { Finished } from './Finished'
import { FlightDeck } from './FlightDeck'
import { FoundSo } from './FoundSo'
import { Glance } from './Glance'
import { PrintedNumber } from './PrintedNumber'
import { NothingHere } from './NothingHere'
import { nextForMe } from './nextForMe'
import { OtherSeat } from './OtherSeat'
import { DeckFold } from '../deck/DeckMap'
import { ReadingNote } from '../gauge/ReadingNote'
import { RunUpSheet } from './RunUpSheet'
import { SayingForm, type WordsFor } from './SayingForm'
import { StepRemarks } from './StepRemarks'
import { StepRows } from './StepRows'
import classes from './StepStage.module.css'
import { useInSight } from './useInSight'
import { useSteps } from './useSteps'

/** Rows of the list below the step at hand. */
const ROWS = 7

interface StepStageProps {
  live: Live
  part: PartView
  /** A step to begin at; the next open one when empty. */
  wanted: string
  /** The next procedure of this stage with something open. */
  next: { title: string; go: () => void } | undefined
  onGo: (stage: string, step?: string) => void
}

/** A flow: the step at hand at arm's length, the rest of its panel below, the flight deck beside it. */
export const StepStage = ({ live, part, wanted, next, onGo }: StepStageProps) => {
  const { view, seat } = live
  const [saying, setSaying] = useState<WordsFor>()
  const s = useSteps(live, part, wanted)
  const { item, mine, answered } = s
  const head = useInSight<HTMLParagraphElement>(item?.id)
  // This place whole, then as many of the next ones as fit, so that nobody looks ahead in vain.
  const after = s.visits.slice(s.visit + 1).flat()
  const listed = item ? [...s.here, ...after.slice(0, Math.max(0, ROWS - s.here.length))] : part.items.slice(-ROWS)
  const tiedOff = view.progress.tiedOff !== undefined
  // Held fast while words are written: the other seat's progress must not move the step under them.
  const say = (what: WordsFor) => {
    s.choose(item?.id ?? '')
    setSaying(what)
  }
  const closed = s.gates.length > 0
  // Where nothing here is this seat's, that is said first, with the way on.
  const here = !seat || nextForMe(view, part, seat)?.part === part
  const value = item && view.progress.values[item.id]
  const found = part.items.filter((i) => i.foundAs !== '' && s.open(i) && among(i.seats, seat))
  const others = view.progress.seats.filter((x) => x.taken && x.seat !== seat)
  const handable = part.byPanel && mine && item?.seats.length === 1
  return (
    <div className={classes.stage}>
      <section className={classes.work}>
        {item && <NothingHere view={view} part={part} seat={seat} next={next} onGo={onGo} />}
        <FoundSo
          live={live}
          items={found}
          unfolded={s.done === 0}
          disabled={tiedOff}
          onFound={(i) => s.act('found-so', {}, i)}
        />
        {s.lastRead && <ReadingNote name={s.lastRead.name} reading={s.lastRead.reading} />}
        {item ? (
          <>
            <p className={classes.where} ref={head}>
              <Pennant seats={item.seats} /> {s.place?.name} · panel {s.visit + 1} of {s.visits.length}
              <span className={classes.count}>
                {s.done} of {part.items.length}
              </span>
            </p>
            <h1 className={classes.challenge}>
              <PrintedNumber item={item} />
              {item.challenge}
            </h1>
            <p className={classes.response}>{item.response}</p>
            {item.waits && <p className={classes.aside2}>Then a wait of {item.waits.words}.</p>}
            {value && (
              <p className={classes.value}>
                <b>{value.shown}</b> {value.from}
              </p>
            )}
            {item.notLit.length > 0 && (
              <p className={classes.aside2}>
                Not lit by this test, press each: {item.notLit.join(', ').toLowerCase()}.
              </p>
            )}
            {item.pressTest.length > 0 && (
              <p className={classes.aside2}>
                The lights test does not cover {item.pressTest.join(', ').toLowerCase()}: press-test it, dark may be a
                dead bulb.
              </p>
            )}
            <StepRemarks view={view} item={item} />
            {!saying && s.plainHere.length > 0 && mine && <Glance place={s.place} />}
            {!saying && closed && (
              <Closed
                gates={s.gates}
                parts={view.card!.parts}
                part={part}
                mine={mine && !tiedOff}
                onChoose={s.choose}
                onGo={onGo}
                onPass={() => say('pass')}
              />
            )}
            {saying ? (
              <SayingForm
                live={live}
                item={item}
                saying={saying}
                onCancel={() => setSaying(undefined)}
                onSaid={(left) => {
                  setSaying(undefined)
                  if (left) s.choose('')
                }}
              />
            ) : (
              <div className={classes.actions}>
                <Answer
                  live={live}
                  item={item}
                  label="Done"
                  main={!closed && mine}
                  disabled={!mine || answered || tiedOff || closed}
                  onSay={s.say}
                />
                <Action hotkey="f" disabled={!seat || tiedOff} onAct={() => say('find')}>
                  Find
                </Action>
                <Action hotkey="n" disabled={!mine || tiedOff} onAct={() => say('not-today')}>
                  Not today
                </Action>
              </div>
            )}
            {!mine && seat !== '' && (
              <p className={classes.notYours}>This is the other seat's. You can still raise a find.</p>
            )}
            {answered && <p className={classes.notYours}>You have answered; the other seat has not yet.</p>}
            {(!mine || answered) && next && here && (
              <div className={classes.actions}>
                <GoOn progress={view.progress} from={part.stage} next={next} onGo={onGo} />
              </div>
            )}
          </>
        ) : (
          <Finished progress={view.progress} part={part} next={next} onGo={onGo} />
        )}
        {part.kind === 'run-up' ? (
          <RunUpSheet
            items={part.items}
            at={item}
            placeName={s.placeName}
            steps={view.progress.steps}
            statusOf={s.statusOf}
            onChoose={s.choose}
          />
        ) : (
          <StepRows
            items={listed}
            at={item}
            name={s.place?.name ?? part.title}
            placeName={s.placeName}
            steps={view.progress.steps}
            statusOf={s.statusOf}
            open={s.open}
            onChoose={s.choose}
          />
        )}
        <div className={classes.foot}>
          {s.plainHere.length > 0 && mine && (
            <Action hotkey="shift+Space" shown="shift space" onAct={s.markPlace}>
              Whole panel done
            </Action>
          )}
          <Action hotkey="z" onAct={s.undo} disabled={!seat || tiedOff}>
            Undo
          </Action>
          {item && (
            <Action hotkey="d" onAct={() => say('does-not-fit')} disabled={!seat || tiedOff}>
              This does not fit
            </Action>
          )}
        </div>
        {/* Before anybody walks on it, and when it is left. */}
        {(part.stage === 'power-up' || part.stage === 'line-up') && view.card?.deck && (
          <DeckFold deck={view.card.deck} />
        )}
      </section>
      <aside className={classes.aside}>
        <FlightDeck
          places={view.card!.places}
          path={s.places}
          at={s.visit}
          left={s.left}
          others={others}
          onPlace={(p) => {
            s.goToPlace(p)
            setSaying(undefined)
          }}
        />
        <OtherSeat progress={view.progress} seat={seat} />
        {handable &&
          item &&
          others.map((o, n) => (
            <Action
              key={o.seat}
              hotkey={n === 0 ? 'k' : 'shift+k'}
              shown={n === 0 ? 'k' : 'shift k'}
              disabled={tiedOff}
              onAct={() => {
                live.outbox.put(
                  'panel-handed-over',
                  { panel: item.place, to: o.seat },
                  `handing over ${s.place?.name ?? item.place}`,
                )
                s.choose('')
              }}
            >
              Hand this panel to {o.name.split(' ').at(-1)}
            </Action>
          ))}
      </aside>
    </div>
  )
}
