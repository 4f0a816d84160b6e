/** Core's rules of the control check, compiled for the browser by the module `device`. */
declare module '*/device/target/browser/controls.js' {
  /** Begins anew. @param basis JSON: spec, practice, channels; throws naming every fault */
  export const begin: (basis: string) => void
  /** @param rows one after the other: seconds and as many values as there are channels */
  export const add: (rows: Float64Array) => void
  export const call: (seconds: number, axis: string, sign: number) => void
  export const picture: () => import('./picture').Picture
}
