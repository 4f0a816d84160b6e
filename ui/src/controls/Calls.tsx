import { useMutation } from '@tanstack/react-query'
import { useCallback, useRef } from 'react'
import type { CallView } from '../api.gen'
import { Action } from '../app/Action'
import { ask, asProblem, type Problem } from '../app/api'
import { ProblemNotice } from '../app/Notice'
import type { Check } from '../live/samples'
import classes from './Calls.module.css'
import { useDrawn, type Moments } from './moments'
import type { Axis } from './picture'
import type { Moment } from './playback'

interface CallsProps {
  departure: string
  check: Check | undefined
  moments: Moments
  /** Who calls, in words. */
  title: string
}

/** A call as it is pressed. */
export interface Called {
  seconds: number
  axis: Axis
  sign: number
}

/** Less than this of a control and it is not the one that is called. */
const MOVED_PCT = 15

export const Calls = ({ departure, check, moments, title }: CallsProps) => {
  const call = useMutation<CallView, Problem, Called>({
    mutationFn: (said) =>
      ask('POST', `/api/departures/${departure}/controls/calls`, { check: check?.number, ...said }),
  })
  const last = check?.calls.at(-1)
  return (
    <section className={classes.calls} aria-label="Calls">
      <h2 className={classes.title}>{title}</h2>
      <CallKeys moments={moments} off={check?.stands !== 'under-way'} onCall={(said) => call.mutate(said)} />
      {last && (
        <p className={classes.last} role="status">
          {last.by}: {words(last)}
        </p>
      )}
      {call.isError && <ProblemNotice problem={asProblem(call.error)} />}
    </section>
  )
}

interface CallKeysProps {
  moments: Moments
  off: boolean
  onCall: (said: Called) => void
}

/** By keys that point where the surface goes; left and right are of the control that moves. */
export const CallKeys = ({ moments, off, onCall }: CallKeysProps) => {
  const now = useRef<{ seconds: number; axis: Axis }>({ seconds: 0, axis: 'pitch' })
  const watch = useCallback((moment: Moment) => {
    const moves = (['pitch', 'roll', 'yaw'] as const).find((a) => Math.abs(moment.control(a)) > MOVED_PCT)
    now.current = { seconds: moment.seconds, axis: moves ?? now.current.axis }
  }, [])
  useDrawn(moments, watch)
  const say = (sign: number, of?: Axis) => {
    const { seconds, axis } = now.current
    onCall({ seconds, sign, axis: of ?? (sign !== 0 && axis === 'pitch' ? 'roll' : axis) })
  }
  return (
    <div className={classes.keys}>
      <Action size="seat" hotkey="ArrowUp" shown="↑" disabled={off} onAct={() => say(1, 'pitch')}>
        Full up
      </Action>
      <Action size="seat" hotkey="ArrowDown" shown="↓" disabled={off} onAct={() => say(-1, 'pitch')}>
        Full down
      </Action>
      <Action size="seat" hotkey="ArrowLeft" shown="←" disabled={off} onAct={() => say(-1)}>
        Full left
      </Action>
      <Action size="seat" hotkey="ArrowRight" shown="→" disabled={off} onAct={() => say(1)}>
        Full right
      </Action>
      <Action size="seat" hotkey="n" disabled={off} onAct={() => say(0)}>
        Neutral
      </Action>
    </div>
  )
}

const WAYS: Record<Axis, [string, string]> = {
  pitch: ['down', 'up'],
  roll: ['left', 'right'],
  yaw: ['left', 'right'],
}

export const words = ({ axis, sign }: Pick<CallView, 'axis' | 'sign'>): string =>
  sign === 0 ? `neutral in ${axis}` : `full ${WAYS[axis][sign < 0 ? 0 : 1]} in ${axis}`
