/**
 * The samples of the control check under way or made last, by departure; each: seconds, three inputs in %, surfaces
 * in °.
 */
interface Frame {
  check: number
  first: boolean
  values: number[][]
}

export interface Samples {
  check: number
  values: readonly number[][]
  lost: boolean
}

const NONE: Samples = { check: 0, values: [], lost: false }
const byDeparture = new Map<string, Samples>()
const listeners = new Set<() => void>()

const put = (departure: string, samples: Samples) => {
  byDeparture.set(departure, samples)
  listeners.forEach((l) => l())
}

export const addSamples = (departure: string, frame: Frame): void => {
  const before = byDeparture.get(departure) ?? NONE
  const values = before.check === frame.check ? [...before.values, ...frame.values] : frame.values
  put(departure, { check: frame.check, values, lost: false })
}

export const samplesLost = (departure: string): void =>
  put(departure, { ...(byDeparture.get(departure) ?? NONE), lost: true })

export const samplesOf = (departure: string): Samples => byDeparture.get(departure) ?? NONE

export const onSamples = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
