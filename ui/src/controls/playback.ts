import type { SurfaceView } from '../api.gen'
import type { Check } from '../live/samples'
import type { Axis } from './picture'

/** So far behind the newest sample the picture runs, seconds: what comes in bursts is shown evenly. */
const BEHIND_S = 0.1

/** How fast it makes up for what it is behind more, share a frame. */
const CATCHES_UP = 0.12

/** One moment of a check: the values of its channels by name; what was not recorded is as it was. */
export interface Moment {
  seconds: number
  value: (channel: string) => number
  /** The control of an axis, per cent: of separate sticks their sum, as far as the stops. */
  control: (axis: Axis) => number
}

const INCEPTORS = ['', 'left-', 'right-']

/** Runs through a check as it comes, a frame at a time. */
export class Playback {
  private at = NaN
  private before = NaN
  private row = 0
  private part = ''
  private columns = new Map<string, number>()
  private readonly last = new Map<string, number>()

  /** @param now of the frame, ms */
  frame(check: Check, now: number): Moment | undefined {
    const part = `${check.number}/${check.part}`
    if (part !== this.part) {
      this.part = part
      this.at = NaN
      this.row = 0
      this.last.clear()
      this.columns = new Map(check.channels.map((c, i) => [c, i + 1]))
    }
    const { rows } = check
    if (rows.length === 0) return undefined
    const newest = rows.at(-1)![0] ?? 0
    const oldest = rows[0]![0] ?? 0
    const passed = Number.isNaN(this.before) ? 0 : Math.min(0.1, (now - this.before) / 1000)
    this.before = now
    const wanted = check.stands === 'under-way' ? Math.max(oldest, newest - BEHIND_S) : newest
    if (Number.isNaN(this.at)) this.at = wanted
    else this.at = Math.min(newest, this.at + passed + Math.max(0, wanted - this.at - passed) * CATCHES_UP)
    while (this.row < rows.length - 2 && (rows[this.row + 1]![0] ?? 0) <= this.at) this.row++
    const a = rows[this.row]!
    const b = rows[Math.min(this.row + 1, rows.length - 1)]!
    const span = (b[0] ?? 0) - (a[0] ?? 0)
    const share = span > 0 ? Math.min(1, Math.max(0, (this.at - (a[0] ?? 0)) / span)) : 0
    const value = (channel: string): number => {
      const column = this.columns.get(channel)
      if (column === undefined) return NaN
      const from = a[column] ?? null
      const to = b[column] ?? null
      const v = from === null ? to : to === null ? from : from + (to - from) * share
      if (v !== null) this.last.set(channel, v)
      return v ?? this.last.get(channel) ?? 0
    }
    return { seconds: this.at, value, control: (axis) => controlOf(this.columns, axis, value) }
  }
}

/** How far a surface is out, as a share of its full travel with the sign of the control that asks for it. */
export const shareOf = ({ positiveDeg, negativeDeg }: SurfaceView, deg: number): number => {
  const positive = deg * (positiveDeg - negativeDeg) > 0
  return (positive ? deg / positiveDeg : -deg / negativeDeg) || 0
}

export const controlOf = (
  columns: ReadonlyMap<string, number>,
  axis: Axis,
  value: (channel: string) => number,
): number => {
  let sum = 0
  for (const i of INCEPTORS) if (columns.has(i + axis)) sum += value(i + axis)
  return Math.min(100, Math.max(-100, sum))
}
