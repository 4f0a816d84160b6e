import { Button, UnstyledButton } from '@mantine/core'
import { useHotkeys, useMediaQuery } from '@mantine/hooks'
import { useDeferredValue, useState } from 'react'
import type { PartView } from '../api.gen'
import { Action } from '../app/Action'
import { span, useNow } from '../app/clock'
import { DeckFold } from '../deck/DeckMap'
import { GoOn } from '../live/GoOn'
import type { Live } from '../live/useDeparture'
import { Closed } from '../flow/Closed'
import { Finished } from '../flow/Finished'
import { Answer } from '../flow/Answer'
import { OtherSeat } from '../flow/OtherSeat'
import { ReadingNote } from '../gauge/ReadingNote'
import { nextForMe } from '../flow/nextForMe'
import { Glance } from '../flow/Glance'
import { PrintedNumber } from '../flow/PrintedNumber'
import { NothingHere } from '../flow/NothingHere'
import { SayingForm, type WordsFor } from '../flow/SayingForm'
import { StepRemarks } from '../flow/StepRemarks'
import { StepRows } from '../flow/StepRows'
import { useInSight } from '../flow/useInSight'
import { useSteps } from '../flow/useSteps'
import { Earlier, Today } from './Today'
import { Walk } from '../drawing/Walk'
import classes from './WalkStage.module.css'

/** Rows of the list below the step at hand. */
const ROWS = 6

const MINUTE_MS = 60_000

interface WalkStageProps {
  live: Live
  part: PartView
  /** A step to begin at; the next open one when empty. */
  wanted: string
  next: { title: string; go: () => void } | undefined
  onGo: (stage: string, step?: string) => void
}

/** The way round the outside, made for one gloved hand: a station closed with one press, one thing opened for more. */
export const WalkStage = ({ live, part, wanted, next, onGo }: WalkStageProps) => {
  const { view, seat } = live
  const [saying, setSaying] = useState<WordsFor>()
  // One drawing: beside the work, or a small one at its head that a tap makes large.
  const wide = useMediaQuery('(min-width: 761px)', true, { getInitialValueInEffect: false })
  const [large, setLarge] = useState(false)
  const s = useSteps(live, part, wanted)
  const { item, mine, answered } = s
  const head = useInSight<HTMLDivElement>(item?.id)
  const card = view.card!
  const tiedOff = view.progress.tiedOff !== undefined
  const cannot = !seat || tiedOff
  const closed = s.gates.length > 0
  // Where nothing here is this seat's, that is said first, with the way on.
  const here = !seat || nextForMe(view, part, seat)?.part === part
  const tags = new Set(view.progress.tags.map((t) => t.key))
  const after = s.visits.slice(s.visit + 1).flat()
  const listed = item ? [...s.here, ...after.slice(0, Math.max(0, ROWS - s.here.length))] : []
  const spots = view.progress.finds.flatMap((f) => (f.spot ? [f.spot] : []))
  // Held fast while words are written: the other seat's progress must not move the step under them.
  const say = (what: WordsFor) => {
    s.choose(item?.id ?? '')
    setSaying(what)
  }
  // One thing left of a station needs no button of its own, but its key still works.
  useHotkeys([['shift+Space', () => mine && !tiedOff && s.plainHere.length === 1 && s.markPlace()]])
  // What a tap asks for is the next step: the drawing and the list follow a frame later, so that a slow phone shows
  // it at once.
  const map = useDeferredValue(
    <Walk
      planform={card.planform}
      places={card.places}
      route={s.places}
      here={item?.place ?? ''}
      left={s.left}
      tags={tags}
      spots={spots}
      {...((wide || large) && {
        onPlace: (p) => {
          s.goToPlace(p)
          setSaying(undefined)
        },
      })}
    />,
  )
  const rows = useDeferredValue(
    <StepRows
      items={listed}
      at={item}
      name={s.place?.name ?? part.title}
      placeName={s.placeName}
      steps={view.progress.steps}
      statusOf={s.statusOf}
      open={s.open}
      onChoose={s.choose}
    />,
  )
  return (
    <div className={classes.stage}>
      <section className={classes.work}>
        {item && <NothingHere view={view} part={part} seat={seat} next={next} onGo={onGo} />}
        <Today tech={view.progress.tech} places={card.places} part={part} />
        {s.lastRead && <ReadingNote name={s.lastRead.name} reading={s.lastRead.reading} />}
        {item ? (
          <>
            <div className={classes.head} ref={head}>
              <p className={classes.where}>
                <b>{s.place?.name}</b>
                <span>
                  station {s.visit + 1} of {s.visits.length}
                </span>
                <span className={classes.count}>
                  {s.done} of {part.items.length}
                </span>
              </p>
              {!wide && (
                <>
                  <Pace live={live} part={part} done={s.done} brief />
                  {large ? (
                    <div className={classes.large}>
                      {map}
                      <Button variant="rest" fullWidth onClick={() => setLarge(false)}>
                        Make the drawing small
                      </Button>
                    </div>
                  ) : (
                    <UnstyledButton
                      className={classes.small}
                      aria-label="Make the drawing large"
                      onClick={() => setLarge(true)}
                    >
                      {map}
                    </UnstyledButton>
                  )}
                </>
              )}
            </div>
            <h1 className={classes.challenge}>
              <PrintedNumber item={item} />
              {item.challenge}
            </h1>
            <p className={classes.response}>{item.response}</p>
            {item.differs && <p className={classes.differs}>{item.differs}</p>}
            <StepRemarks view={view} item={item} />
            <Earlier view={view} item={item} />
            {!saying && s.plainHere.length > 1 && mine && <Glance place={s.place} />}
            {!saying && closed && (
              <Closed
                gates={s.gates}
                parts={card.parts}
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
                  label="As it should be"
                  main={!closed && mine}
                  disabled={!mine || answered || tiedOff || closed}
                  onSay={s.say}
                />
                {s.plainHere.length > 1 && (
                  <Action hotkey="shift+Space" shown="shift space" disabled={cannot} onAct={s.markPlace}>
                    Whole station as it should be
                  </Action>
                )}
                <Action hotkey="f" disabled={cannot} onAct={() => say('find')}>
                  Find
                </Action>
                <Action hotkey="a" disabled={!mine || tiedOff} onAct={() => say('later')}>
                  Look again later
                </Action>
              </div>
            )}
            {!mine && seat !== '' && (
              <p className={classes.notYours}>This is the other seat's. You can still raise a find.</p>
            )}
            {(!mine || answered) && next && here && (
              <div className={classes.actions}>
                <GoOn progress={view.progress} from={part.stage} next={next} onGo={onGo} />
              </div>
            )}
          </>
        ) : (
          <Finished progress={view.progress} part={part} next={next} onGo={onGo} />
        )}
        {!saying && (
          <>
            {rows}
            <div className={classes.foot}>
              <Action hotkey="z" onAct={s.undo} disabled={cannot}>
                Undo
              </Action>
              {item && (
                <Action hotkey="n" disabled={!mine || tiedOff} onAct={() => say('not-today')}>
                  Not today
                </Action>
              )}
              {item && (
                <Action hotkey="d" onAct={() => say('does-not-fit')} disabled={cannot}>
                  This does not fit
                </Action>
              )}
            </div>
            {card.deck && <DeckFold deck={card.deck} />}
          </>
        )}
      </section>
      <aside className={classes.aside}>
        {wide && map}
        <Pace live={live} part={part} done={s.done} />
        <OtherSeat progress={view.progress} seat={seat} />
      </aside>
    </div>
  )
}

/** How long the rest takes, against the time there is. */
const Pace = ({ live, part, done, brief = false }: { live: Live; part: PartView; done: number; brief?: boolean }) => {
  const { walk } = live.view.card!
  const now = useNow()
  const due = live.view.progress.beads.find((b) => b.stage === part.stage)?.due
  const rest = walk.minutes * (1 - done / part.items.length) * MINUTE_MS
  const have = due ? Date.parse(due) - now : undefined
  return (
    <p className={classes.pace} data-late={(have !== undefined && have < rest) || undefined}>
      <b>
        About {span(rest)} to go
        {have !== undefined && (have < 0 ? `, ${span(have)} over` : ` of the ${span(have)} there are`)}.
      </b>
      {!brief && ` Round: ${walk.metres} m, ${Math.round(walk.minutes)} min, from ${walk.from}.`}
    </p>
  )
}
