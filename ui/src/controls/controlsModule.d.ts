/** Core's rules of the control check, compiled for the browser by the module `device`. */
declare module '*/device/target/browser/controls.js' {
  /** Begins anew. @param basis JSON: spec, practice, channels; throws naming every fault */
  export const begin: (basis: string) => void
  /** @param rows one after the other: seconds and as many values as there are channels */
  export const add: (rows: Float64Array) => void
  export const call: (seconds: number, axis: string, sign: number) => void
  export const picture: () => import('./picture').Picture

  /** Begins a drill with its first round. @param basis JSON: spec, order, drill @returns names of its channels */
  export const beginDrill: (basis: string) => string[]
  /** @param moved pitch, roll, yaw, per cent @returns seconds into the round, then the channels */
  export const flyOn: (seconds: number, moved: Float64Array) => Float64Array
  /** Whether the round's own hand has made the whole check. */
  export const flown: () => boolean
  export const callInDrill: (axis: string, sign: number) => void
  export const pictureOfDrill: () => import('./picture').Picture
  /** Ends the round at hand; the next begins where there is one. */
  export const endRound: (stopped: boolean) => Ended

  /** What became of a round. */
  export interface Ended {
    answer: import('../api.gen').RoundForm
    right: boolean
    words: string
    /** What a whole check lacked, in words. */
    missing: string[]
    /** Whether another round follows. */
    more: boolean
    /** How large the next fault is, as times what the type allows. */
    limits: number
  }
}
