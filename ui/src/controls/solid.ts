import type { AerofoilView, AxisView, PlanformView, SurfaceView } from '../api.gen'
import type { Axis } from './picture'

/** Metres: to the right, back from the nose, and up. */
export type Spot = readonly [x: number, y: number, z: number]

/** Somebody stands behind and above and looks forward and down by this, radians. */
const LOOKS_DOWN = 0.5

/** What is twice as far away is drawn so much smaller. */
const NEARER_BY = 0.012

/** Surfaces are drawn this much further out than they are, or nobody would see them move. */
const DRAWN_MORE = 1.7

/** Chord of a drawn surface, share of the wing span: larger than they are. */
const CHORD = 0.07

export interface Drawn {
  surface: SurfaceView
  axis: Axis
  /** The two ends of its hinge. */
  hinge: readonly [Spot, Spot]
  chord: number
  /** A rudder turns about an upright hinge. */
  upright: boolean
}

/** Where a spot is on the paper; metres on the ground at the nose. */
export const seen = ([x, y, z]: Spot): [number, number] => {
  const nearer = 1 + y * NEARER_BY
  return [x * nearer, (y * Math.sin(LOOKS_DOWN) - z * Math.cos(LOOKS_DOWN)) * nearer]
}

export const path = (spots: readonly Spot[]): string =>
  spots
    .map(
      (s, i) =>
        `${i ? 'L' : 'M'}${seen(s)
          .map((v) => v.toFixed(2))
          .join(' ')}`,
    )
    .join('') + 'Z'

const chordAt = (a: AerofoilView, share: number) => a.rootChordM + (a.tipChordM - a.rootChordM) * share
const leadingAt = (a: AerofoilView, share: number) => a.rootY + (a.tipY - a.rootY) * share

/** A place on a wing: share of the half span from the middle, and of the chord from the leading edge. */
const on = (a: AerofoilView, side: number, span: number, chord: number, z = 0): Spot => [
  (side * span * a.spanM) / 2,
  leadingAt(a, span) + chordAt(a, span) * chord,
  z,
]

export const wing = (a: AerofoilView): Spot[] => [
  on(a, -1, 1, 0),
  [0, a.rootY, 0],
  on(a, 1, 1, 0),
  on(a, 1, 1, 1),
  [0, a.rootY + a.rootChordM, 0],
  on(a, -1, 1, 1),
]

/** Its height is not in a pack: as half the span of a tailplane is, so is a fin in common practice. */
const finHeight = (p: PlanformView) => p.tailplane.spanM * 0.5

export const fin = (p: PlanformView): Spot[] => {
  const from = p.tailplane.rootY - p.tailplane.rootChordM * 0.5
  const back = p.tailplane.rootY + p.tailplane.rootChordM * 0.75
  const h = finHeight(p)
  return [
    [0, from, 0.4],
    [0, from + h * 0.75, h],
    [0, back + h * 0.2, h],
    [0, back, 0.4],
  ]
}

/** Where the nose ends and the tail begins, share of the length. */
const NOSE = 0.15
const TAIL = 0.62
const STEPS = 12

/** The outline of the fuselage: a round nose, straight sides, a tail that runs to a point. */
export const fuselage = (p: PlanformView): Spot[] => {
  const w = p.fuselageWidthM / 2
  const steps = Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS)
  const nose = steps.map((t): Spot => [w * Math.sqrt(1 - (1 - t) ** 2), NOSE * p.lengthM * t ** 1.4, 0])
  const tail = steps.map((t): Spot => [w * (1 - t ** 1.8), (TAIL + (1 - TAIL) * t) * p.lengthM, 0])
  const right = [...nose, ...tail]
  return [...right, ...right.toReversed().map(([x, y]): Spot => [-x, y, 0])]
}

const side = (s: SurfaceView) => (s.positiveDeg > s.negativeDeg ? 1 : -1)

/** Where each surface of a type sits: ailerons outboard, spoilers before them from the middle out, by their order. */
export const placed = (axes: readonly AxisView[], p: PlanformView): Drawn[] => {
  const chord = p.wing.spanM * CHORD
  return axes.flatMap(({ axis, surfaces }) => {
    const plates = surfaces.filter((s) => !s.spoiler)
    return surfaces.map((surface): Drawn => {
      const base = { surface, axis, chord, upright: false }
      if (surface.spoiler) {
        const mine = surfaces.filter((s) => s.spoiler && side(s) === side(surface))
        const [from, to] = part(0.24, 0.6, mine.indexOf(surface), mine.length)
        const hinge = [on(p.wing, side(surface), from, 0.5), on(p.wing, side(surface), to, 0.5)] as const
        return { ...base, hinge, chord: chord * 0.7 }
      }
      if (axis === 'roll') {
        const hinge = [on(p.wing, side(surface), 0.63, 0.86), on(p.wing, side(surface), 0.97, 0.86)] as const
        return { ...base, hinge }
      }
      const n = plates.indexOf(surface)
      if (axis === 'yaw') {
        const [, , top, foot] = fin(p) as [Spot, Spot, Spot, Spot]
        const [from, to] = part(0.04, 0.96, n, plates.length)
        return { ...base, hinge: [along(foot, top, from), along(foot, top, to)], upright: true, chord: chord * 0.9 }
      }
      const t = p.tailplane
      if (plates.length === 1) return { ...base, hinge: [on(t, -1, 0.94, 0.8), on(t, 1, 0.94, 0.8)] }
      const half = n % 2 ? 1 : -1
      return { ...base, hinge: [on(t, half, 0.12, 0.8), on(t, half, 0.94, 0.8)] }
    })
  })
}

const part = (from: number, to: number, n: number, of: number): [number, number] => {
  const each = (to - from) / of
  return [from + n * each, from + (n + 0.86) * each]
}

const along = (a: Spot, b: Spot, share: number): Spot => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
]

/** The outline of a surface deflected by so many degrees; trailing edge up or right is positive. */
export const plate = (d: Drawn, deg: number): Spot[] => {
  const angle = (deg * DRAWN_MORE * Math.PI) / 180
  const back = d.chord * Math.cos(angle)
  const out = d.chord * Math.sin(angle)
  const [a, b] = d.hinge
  const edge = ([x, y, z]: Spot): Spot => (d.upright ? [x + out, y + back, z] : [x, y + back, z + out])
  return [a, b, edge(b), edge(a)]
}

/** A box around the aircraft with all its surfaces out: x, y, width, height. */
export const frame = (p: PlanformView, drawn: readonly Drawn[]): [number, number, number, number] => {
  const spots = [
    ...fuselage(p),
    ...wing(p.wing),
    ...wing(p.tailplane),
    ...fin(p),
    ...drawn.flatMap((d) => [d.surface.positiveDeg, d.surface.negativeDeg].flatMap((deg) => plate(d, deg))),
  ].map(seen)
  const xs = spots.map((s) => s[0])
  const ys = spots.map((s) => s[1])
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  return [left - 0.6, top - 0.6, Math.max(...xs) - left + 1.2, Math.max(...ys) - top + 1.2]
}
