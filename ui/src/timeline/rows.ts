import type { BlockView, PlanWaitView } from '../api.gen'

/** Something that is drawn from one time to another, beside what goes on then too. */
export interface Drawn {
  key: string
  what: string
  /** Milliseconds. */
  begins: number
  ends: number
  block?: BlockView
}

/** Where it is drawn: rows of times, from 0, and which of the lanes beside each other. */
export interface Placed extends Drawn {
  row: number
  rows: number
  lane: number
}

export const ofBlock = (b: BlockView): Drawn => ({
  key: b.id,
  what: b.what,
  begins: Date.parse(b.begins),
  ends: Date.parse(b.ends),
  block: b,
})

export const ofWait = (w: PlanWaitView): Drawn => ({
  key: `${w.what}/${w.begins}`,
  what: w.what,
  begins: Date.parse(w.begins),
  ends: Date.parse(w.ends),
})

/** All times at which something begins or ends, in order: a row from each to the next. */
export const timesOf = (all: readonly Drawn[]): number[] =>
  [...new Set(all.flatMap((d) => [d.begins, d.ends]))].sort((a, b) => a - b)

/** Each in the first lane that is free then; what takes no time has the row that begins there. */
export const place = (all: readonly Drawn[], times: readonly number[]): Placed[] => {
  const free: number[] = []
  return [...all]
    .sort((a, b) => a.begins - b.begins || b.ends - a.ends)
    .map((d) => {
      const row = times.indexOf(d.begins)
      const rows = Math.max(1, times.indexOf(d.ends) - row)
      const found = free.findIndex((from) => from <= row)
      const lane = found < 0 ? free.length : found
      free[lane] = row + rows
      return { ...d, row, rows, lane }
    })
}

/**
 * The time at a height among rows that go from each time to the next.
 *
 * @param heights of the rows, and `gap` between them
 */
export const timeAt = (y: number, heights: readonly number[], gap: number, times: readonly number[]): number => {
  let top = 0
  for (let i = 0; i < times.length - 1; i++) {
    const height = (heights[i] ?? 0) + gap
    if (y < top + height) return times[i]! + (Math.max(0, y - top) / height) * (times[i + 1]! - times[i]!)
    top += height
  }
  return times.at(-1)!
}

export const lanesOf = (placed: readonly Placed[]): number => Math.max(1, ...placed.map((p) => p.lane + 1))
