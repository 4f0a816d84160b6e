/** Core's rules of figures, compiled for the browser by the module `device`. */
declare module '*/device/target/browser/figures.js' {
  /** Takes in what figures rest on; a text is empty where there is none. */
  export const basis: (typeFigures: string, takeoffTables: string, holdover: string, from: string, to: string) => void
  /** What comes of what is given; throws naming every fault. @param asked JSON, see `askedOf` */
  export const figures: (asked: string) => import('./here').WorkedHere
  export const report: (text: string, now: string) => import('./here').ReadHere
  export const sheet: (text: string) => import('./here').ReadHere
}
