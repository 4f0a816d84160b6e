import { useEffect, useRef, useState } from 'react'
import type { DrillBegunView } from '../api.gen'
import { Moments } from '../controls/moments'
import { untold, type Axis, type Picture } from '../controls/picture'
import type { Moment } from '../controls/playback'
import type { Check } from '../live/samples'
import { Hands, moves, type Moved } from './hands'
import type { Ended } from '../../../device/target/browser/controls.js'

type Engine = typeof import('../../../device/target/browser/controls.js')

/** A page that was not drawn for a while does not fly on unseen, seconds. */
const LONGEST_FRAME_S = 0.1

/** How far somebody has come is told so often, frames. */
const TOLD_EVERY = 12

/** A game controller's buttons: it is wrong; it was all right. */
const STOPS = 0
const PASSES = 1

const CONTROLS = ['pitch', 'roll', 'yaw'] as const

/** One drill as it is flown on this device: a round at a time, a step a frame. */
export class Flying {
  readonly hands = new Hands()
  readonly moments = new Moments((now) => this.frame(now))
  private check: Check
  private flies = false
  private before = NaN
  private seconds = 0
  private frames = 0
  private columns: ReadonlyMap<string, number>
  private pressed = new Set<number>()

  constructor(
    private readonly engine: Engine,
    private readonly drill: DrillBegunView,
    private readonly onPicture: (picture: Picture) => void,
    private readonly onEnd: (ended: Ended) => void,
  ) {
    const order = JSON.stringify(drill.controlCheck.practice.order)
    const basis = `{"spec":${drill.spec},"order":${order},"drill":${drill.drill}}`
    const channels = engine.beginDrill(basis)
    this.columns = new Map(channels.map((c, i) => [c, i + 1]))
    this.check = { number: 0, stands: 'under-way', channels, basis, calls: [], rows: [], heardAt: 0, part: 0 }
  }

  /** Begins the round at hand. */
  begin(): void {
    this.check = { ...this.check, number: this.check.number + 1, rows: [] }
    this.seconds = 0
    this.frames = 0
    this.before = NaN
    this.hands.letGo()
    this.flies = true
  }

  call(axis: Axis, sign: number): void {
    if (this.flies) this.engine.callInDrill(axis, sign)
  }

  /** Ends the round. @param stopped whether something seemed wrong */
  end(stopped: boolean): void {
    if (!this.flies) return
    this.flies = false
    this.onEnd(this.engine.endRound(stopped))
  }

  private frame(now: number): { check: Check; moment: Moment } | undefined {
    if (!this.flies) return undefined
    const passed = Number.isNaN(this.before) ? 0 : Math.min(LONGEST_FRAME_S, (now - this.before) / 1000)
    this.before = now
    this.seconds += passed
    const moved = this.drill.task === 'watch' ? { pitch: 0, roll: 0, yaw: 0 } : this.held(passed)
    const row = this.engine.flyOn(this.seconds, Float64Array.of(moved.pitch, moved.roll, moved.yaw))
    this.check.rows.push([...row])
    if (this.drill.task === 'move' && this.frames++ % TOLD_EVERY === 0) this.onPicture(this.engine.pictureOfDrill())
    if (this.engine.flown()) this.end(false)
    const value = (channel: string) => row[this.columns.get(channel) ?? -1] ?? NaN
    const moment = { seconds: row[0]!, value, control: (axis: Axis) => row[1 + CONTROLS.indexOf(axis)]! }
    return { check: this.check, moment }
  }

  private held(seconds: number): Moved {
    const pad = navigator.getGamepads?.().find((p) => p?.connected)
    const pressed = new Set(pad?.buttons.flatMap((b, i) => (b.pressed ? [i] : [])))
    const newly = (button: number) => pressed.has(button) && !this.pressed.has(button)
    const stops = newly(STOPS) && this.drill.task === 'both'
    const passes = newly(PASSES)
    this.pressed = pressed
    const moved = this.hands.move(seconds, pad?.axes ?? [])
    // After the frame, which is of the round that ends.
    if (stops || passes) queueMicrotask(() => this.end(stops))
    return moved
  }
}

/** The drill at hand, once this device has what it flies it by. */
export const useFlying = (drill: DrillBegunView, onEnd: (ended: Ended) => void) => {
  const [flying, setFlying] = useState<Flying>()
  const [picture, setPicture] = useState(() => untold(drill.controlCheck.wanted))
  const [failed, setFailed] = useState('')
  const ended = useRef(onEnd)
  useEffect(() => {
    ended.current = onEnd
  })
  useEffect(() => {
    let left = false
    import('../../../device/target/browser/controls.js')
      .then((engine) => {
        if (!left) setFlying(new Flying(engine, drill, setPicture, (e) => ended.current(e)))
      })
      .catch((e: unknown) => setFailed(e instanceof Error ? e.message : String(e)))
    return () => {
      left = true
    }
  }, [drill])

  useEffect(() => {
    if (!flying || drill.task === 'watch') return
    const key = (down: boolean) => (e: KeyboardEvent) => {
      if (!moves(e.key)) return
      e.preventDefault()
      flying.hands.key(e.key, down)
    }
    const down = key(true)
    const up = key(false)
    const lost = () => flying.hands.letGo()
    window.addEventListener('keydown', down)
    window.addEventListener('keyup', up)
    window.addEventListener('blur', lost)
    return () => {
      window.removeEventListener('keydown', down)
      window.removeEventListener('keyup', up)
      window.removeEventListener('blur', lost)
    }
  }, [flying, drill.task])
  return { flying, picture, failed }
}
