import type { WantedView } from '../api.gen'

export type Axis = WantedView['axis']

/** How far one wanted movement has come. */
export interface Travel extends Omit<WantedView, 'words'> {
  words: string
  inputPct: number
  toGoDeg: number
  /** 0 to 1. */
  covered: number
  lacks: string
  shown: boolean
}

export interface AxisStands {
  axis: Axis
  /** Untold in a drill: whoever trains is to see it for themselves. */
  standing: 'to-move' | 'moved' | 'right' | 'not-right' | 'untold'
  /** What is not as it should be. */
  words: string[]
}

/** How a check stands, as core's rules tell on this device. */
export interface Picture {
  /** What is under way, or to be moved next; empty once nothing is. */
  words: string
  travels: Travel[]
  moving?: Travel
  axes: AxisStands[]
}

/** Nothing has been moved yet. */
export const nothingYet = (wanted: readonly WantedView[]): Picture => ({
  words: '',
  travels: wanted.map((w) => ({ ...w, inputPct: 0, toGoDeg: 0, covered: 0, lacks: '', shown: false })),
  axes: (['pitch', 'roll', 'yaw'] as const).map((axis) => ({ axis, standing: 'to-move', words: [] })),
})

/** What is not to be given away by the picture: neither what is left, nor how it stands. */
export const untold = (wanted: readonly WantedView[]): Picture => {
  const nothing = nothingYet(wanted)
  return {
    ...nothing,
    travels: nothing.travels.map((t) => ({ ...t, shown: true })),
    axes: nothing.axes.map((a) => ({ ...a, standing: 'untold' })),
  }
}

export type ToWorker =
  | { what: 'begin'; part: string; basis: string }
  | { what: 'rows'; rows: Float64Array }
  | { what: 'call'; seconds: number; axis: string; sign: number }

export interface FromWorker {
  part: string
  picture?: Picture
  failed?: string
}
