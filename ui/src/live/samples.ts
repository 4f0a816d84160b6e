import type { CallView, CheckNow, CheckUnderWayView } from '../api.gen'
import { ask } from '../app/api'

/** A control check under way, broken off, or made last, as this device has it. */
export interface Check {
  number: number
  stands: CheckUnderWayView['stands']
  /** Names of what each sample has after its time. */
  channels: readonly string[]
  /** JSON by which the device judges: spec, practice, channels. */
  basis: string
  calls: readonly CallView[]
  /** Each: seconds, then the channels; null where nothing was recorded. Added to in place, never drawn by React. */
  rows: (number | null)[][]
  /** When samples came last, on the page's own clock. */
  heardAt: number
  /** Changes whenever rows that were there are there no more. */
  part: number
}

/** Samples as the stream tells them; `from` is the number of the first of them in the check. */
interface Samples {
  check: number
  from: number
  values: (number | null)[][]
}

interface CheckTold {
  check: number
  stands: CheckUnderWayView['stands']
}

const byDeparture = new Map<string, Check>()
const listeners = new Set<() => void>()
/** What came while it was asked what had come before, by departure. */
const asking = new Map<string, Samples[]>()

const put = (departure: string, check: Check) => {
  byDeparture.set(departure, check)
  listeners.forEach((l) => l())
}

export const checkOf = (departure: string): Check | undefined => byDeparture.get(departure)

/** Hears of everything but samples, which are too many. */
export const onCheck = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

const taken = (now: CheckUnderWayView): Check => ({
  number: now.check,
  stands: now.stands,
  channels: now.channels,
  basis: `{"spec":${now.spec},"practice":${JSON.stringify(now.practice)},"channels":${JSON.stringify(now.channels)}}`,
  calls: now.calls,
  rows: now.values,
  heardAt: performance.now(),
  part: Math.random(),
})

/**
 * Asks for all there is of the check under way: this device came late, or missed something. Where there is none, one
 * that seemed to be under way has ended without this device being told, and is not to be waited for.
 */
export const catchUp = async (departure: string): Promise<void> => {
  if (asking.has(departure)) return
  asking.set(departure, [])
  try {
    const { check } = await ask<CheckNow>('GET', `/api/departures/${departure}/controls`)
    const before = byDeparture.get(departure)
    if (check) put(departure, taken(check))
    else if (before && before.stands !== 'ended') put(departure, { ...before, stands: 'ended' })
    const meanwhile = asking.get(departure) ?? []
    asking.delete(departure)
    meanwhile.filter((m) => m.check === check?.check).forEach((m) => heardSamples(departure, m))
  } catch {
    // The next samples, or the next stream, ask again.
    asking.delete(departure)
  }
}

export const heardSamples = (departure: string, samples: Samples): void => {
  const waits = asking.get(departure)
  if (waits) return void waits.push(samples)
  const { check, from, values } = samples
  const before = byDeparture.get(departure)
  if (before?.number !== check || from > before.rows.length) {
    void catchUp(departure)
    return void asking.get(departure)?.push(samples)
  }
  const heardAt = performance.now()
  if (before.stands === 'broken-off') {
    // It goes on: the movement that broke off is made again.
    const last = before.rows[from - 1]?.[0] ?? 0
    const rows = [...before.rows.slice(0, from), ...values]
    const calls = before.calls.filter((c) => c.seconds <= last)
    return put(departure, { ...before, rows, calls, stands: 'under-way', heardAt, part: before.part + 1 })
  }
  // What a catching up has brought already comes again.
  before.rows.push(...values.slice(before.rows.length - from))
  before.heardAt = heardAt
}

export const heardCall = (departure: string, call: CallView): void => {
  const before = byDeparture.get(departure)
  if (before?.number === call.check) put(departure, { ...before, calls: [...before.calls, call] })
}

export const heardOfCheck = (departure: string, { check, stands }: CheckTold): void => {
  const before = byDeparture.get(departure)
  if (before?.number !== check) return
  put(departure, { ...before, stands })
  // The server has forgotten the movement that was not over, and so does this device.
  if (stands === 'broken-off') void catchUp(departure)
}
