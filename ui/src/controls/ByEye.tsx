import { useState } from 'react'
import type { ControlCheckView, WantedView } from '../api.gen'
import { Action } from '../app/Action'
import type { Outbox } from '../live/outbox'
import classes from './ByEye.module.css'

interface ByEyeProps {
  wanted: ControlCheckView
  outbox: Outbox
  onDone: () => void
}

/** One thing to look at: a movement, neutral after it, or the steering. */
interface Look {
  words: string
  how: string
  yes: string
  /** Nothing for the steering. */
  of?: Omit<WantedView, 'words'>
  /** Undefined before it was looked at. */
  right?: boolean
}

const movement = ({ words, ...of }: WantedView): Look => ({
  words,
  how: 'To the stop and held. Full, free and the right way?',
  yes: 'Full, free, right way',
  of,
})

const neutral = ({ words, ...of }: WantedView): Look => ({
  words: `${words.slice(0, words.lastIndexOf(of.axis))}${of.axis} neutral`,
  how: 'Let go. Are the surfaces back?',
  yes: 'Back at neutral',
  of: { ...of, sign: 0 },
})

const STEERING: Look = {
  words: 'steering disconnect',
  how: 'Was the steering disconnected for the rudder, and is it connected again?',
  yes: 'Disconnected, and connected again',
}

/** Every movement, neutral after each axis, and the steering where the fleet disconnects it. */
const asked = ({ wanted, practice }: ControlCheckView): Look[] => [
  ...wanted.flatMap((w, i) => (wanted[i + 1]?.axis === w.axis ? [movement(w)] : [movement(w), neutral(w)])),
  ...(practice.disconnected ? [STEERING] : []),
]

/** A check of an aircraft that gives no data: what the crew saw, movement by movement, one press each. */
export const ByEye = ({ wanted, outbox, onDone }: ByEyeProps) => {
  const [looks, setLooks] = useState(() => asked(wanted))
  const at = looks.findIndex((s) => s.right === undefined)
  const now = looks[at]
  const say = (i: number, right: boolean | undefined) =>
    setLooks(looks.map((s, n) => (n === i ? { ...s, right } : s)))
  const write = () => {
    const sightings = looks.flatMap(({ of, right }) =>
      of && right !== undefined ? [{ inceptor: of.seat, axis: of.axis, sign: of.sign, right }] : [],
    )
    const disconnected = looks.some((l) => !l.of && l.right === true)
    outbox.put('controls-seen', { sightings, disconnected }, 'Control check by eye')
    onDone()
  }
  const lastSaid = at < 0 ? looks.length - 1 : at - 1
  return (
    <div>
      <h1 className={classes.now}>{now ? first(now.words) : 'All of it was looked at'}</h1>
      <p className={classes.how}>{now?.how ?? 'Write it down, or take back what was said last.'}</p>
      <div className={classes.actions}>
        <Action main={!!now} disabled={!now} hotkey="Enter" shown="⏎" onAct={() => say(at, true)}>
          {now?.yes ?? 'Seen'}
        </Action>
        <Action disabled={!now} hotkey="x" onAct={() => say(at, false)}>
          Not so
        </Action>
        <Action disabled={lastSaid < 0} hotkey="u" onAct={() => say(lastSaid, undefined)}>
          Take back
        </Action>
      </div>
      <ol className={classes.list}>
        {looks.map((s, i) => (
          <li key={s.words} data-now={i === at || undefined} data-said={s.right}>
            {first(s.words)}
            <span>{s.right === undefined ? '' : s.right ? 'seen' : 'not so'}</span>
          </li>
        ))}
      </ol>
      <div className={classes.actions}>
        <Action main={!now} disabled={lastSaid < 0} hotkey="w" onAct={write}>
          Write it down
        </Action>
        <Action hotkey="Escape" shown="Esc" onAct={onDone}>
          Back to the aircraft's data
        </Action>
      </div>
      <p className={classes.note}>
        The record will say that nothing was measured. What was not looked at is missing from the check.
      </p>
    </div>
  )
}

const first = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
