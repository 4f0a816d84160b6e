import { useState } from 'react'
import type { TurnView } from '../api.gen'
import { Action } from '../app/Action'
import { Fold } from '../app/Fold'
import { DeckFold } from '../deck/DeckMap'
import type { Live } from '../live/useDeparture'
import { Brakes } from './Brakes'
import { Clearance } from './Clearance'
import { GroundMap } from './GroundMap'
import { Places } from './Places'
import classes from './TaxiHelp.module.css'

/** The clearance and its way, how fast one may be where, and how the type goes round a corner. */
export const TaxiHelp = ({ live }: { live: Live }) => {
  const { card, progress } = live.view
  const [at, setAt] = useState({ way: '', place: 0 })
  if (!card) return null
  const { plan, deck } = card
  const taxi = progress.taxi
  const way = taxi?.way
  // Another way begins at its stand.
  const here = way && at.way === way.words ? at.place : 0
  return (
    <section className={classes.help} aria-label="Rolling">
      {plan && taxi && (
        <div className={classes.way}>
          <div>
            <Clearance live={live} plan={plan} taxi={taxi} />
            {way && <Places way={way} here={here} onGo={(place) => setAt({ way: way.words, place })} />}
          </div>
          <GroundMap plan={plan} way={way} here={way?.places[here]?.at} />
        </div>
      )}
      {deck && <DeckFold deck={deck} />}
      {deck ? (
        <Fold line="Speeds, brakes and the turn">
          <Rest live={live} />
        </Fold>
      ) : way ? (
        <>
          <p className={classes.waits}>
            <b>Transponder</b> {plan?.transponder}. <b>Control check</b> {way.controlCheck}.
          </p>
          <Fold line="Speeds, brakes and the turn">
            <Rest live={live} />
          </Fold>
        </>
      ) : (
        <Rest live={live} />
      )}
    </section>
  )
}

/** What holds of the type wherever it rolls. */
const Rest = ({ live }: { live: Live }) => {
  const { card, progress } = live.view
  const taxi = progress.taxi
  const ground = card?.ground
  return (
    <>
      <ul className={classes.speeds} aria-label="Most speed">
        {(ground?.speeds ?? []).map((s) => (
          <li key={s.where}>
            <b>{s.kt} kt</b> {s.where}
          </li>
        ))}
        {card?.plan && !taxi?.way && (
          <li>
            <b>Transponder</b> {card.plan.transponder}
          </li>
        )}
      </ul>
      <p className={classes.waits}>
        No checklist in a turn or over a runway. A changed clearance on the apron: stop, set the brake, then type.
      </p>
      {taxi && taxi.notFor.length > 0 && (
        <p className={classes.waits}>
          <b>Not for this type:</b> {taxi.notFor.join('; ')}.
        </p>
      )}
      {ground?.cools && <Brakes live={live} />}
      {ground && <Turns turns={ground.turns} least={ground.leastForTurningRoundM} />}
    </>
  )
}

/** How the type goes round a corner. @param least pavement for turning round, metres */
const Turns = ({ turns, least }: { turns: TurnView[]; least: number }) => {
  const [at, setAt] = useState(1)
  const turn = turns[at] ?? turns[0]
  if (!turn)
    return (
      <p className={classes.waits}>
        It steers at its tail: the main gear leads, the tail swings out. Look at the tail before each turn.
      </p>
    )
  return (
    <Fold line={`The turn: ${turn.straightOnM} m straight on, then ${turn.eyesPastM} m outside the line`}>
      <div className={classes.turn}>
        <Picture turn={turn} />
        <div>
          <p>
            Main gear on the line, {turn.degrees}° on {turn.radiusM} m: go {turn.straightOnM} m past where the line
            begins to turn, then keep the line {turn.eyesPastM} m inside of you.
          </p>
          <p>
            With the nose wheel on the line the inner main wheels cut {turn.cutM} m into the corner. The outer wing
            tip sweeps {turn.tipPastM} m outside the line, the tail {turn.tailPastM} m.
          </p>
          <p>Turning round at full steering wants {least} m of pavement, wheels on its edge.</p>
          <Action hotkey="r" size="seat" onAct={() => setAt((at + 1) % turns.length)}>
            Another angle
          </Action>
          <p className={classes.source}>
            From wheelbase, track and steering of the type; the cut by the tractrix. It helps, the eyes decide.
          </p>
        </div>
      </div>
    </Fold>
  )
}

/** Heading up: what lies ahead is above, the turn goes to the right. */
const Picture = ({ turn }: { turn: TurnView }) => {
  const all = [...turn.line, ...turn.eyes, ...turn.tip, ...turn.cut]
  const x = all.map((s) => s[1]!)
  const y = all.map((s) => -s[0]!)
  const [left, top] = [Math.min(...x) - 2, Math.min(...y) - 2]
  const [width, height] = [Math.max(...x) + 2 - left, Math.max(...y) + 2 - top]
  const path = (way: number[][]) => way.map((s, n) => `${n === 0 ? 'M' : 'L'}${s[1]} ${-s[0]!}`).join('')
  return (
    <figure className={classes.picture}>
      <svg viewBox={`${left} ${top} ${width} ${height}`} role="img" aria-label={`A turn of ${turn.degrees} degrees`}>
        <path className={classes.pavement} d={path(turn.line)} />
        <path className={classes.line} d={path(turn.line)} />
        <path className={classes.cut} d={path(turn.cut)} />
        <path className={classes.tip} d={path(turn.tip)} />
        <path className={classes.eyes} d={path(turn.eyes)} />
      </svg>
      <figcaption>
        <span className={classes.eyesKey}>your eyes</span>
        <span className={classes.lineKey}>the line, main gear on it</span>
        <span className={classes.cutKey}>main gear, nose wheel on the line</span>
        <span className={classes.tipKey}>outer wing tip</span>
      </figcaption>
    </figure>
  )
}
