import { describe, expect, it } from 'vitest'
import type { AxisView, PlanformView } from '../api.gen'
import { frame, path, placed, plate, seen } from './solid'

const planform: PlanformView = {
  lengthM: 22.6,
  fuselageWidthM: 2.7,
  wing: { spanM: 24.4, rootY: 8.2, rootChordM: 2.9, tipY: 8.9, tipChordM: 1.5 },
  tailplane: { spanM: 7.6, rootY: 19.6, rootChordM: 1.9, tipY: 20.2, tipChordM: 1.1 },
  doors: [],
  engines: [],
  gear: [],
  hazards: [],
}

const surface = (channel: string, positiveDeg: number, negativeDeg: number, spoiler = false) => ({
  channel,
  name: channel,
  spoiler,
  positiveDeg,
  negativeDeg,
  toleranceDeg: 1.5,
})

const axes: AxisView[] = [
  {
    axis: 'pitch',
    name: 'Pitch',
    positive: 'nose up',
    negative: 'nose down',
    surfaces: [surface('elevator', 24, -16)],
  },
  {
    axis: 'roll',
    name: 'Roll',
    positive: 'right',
    negative: 'left',
    surfaces: [
      surface('aileron-left', -15, 20),
      surface('aileron-right', 20, -15),
      surface('spoiler-left', 0, 30, true),
      surface('spoiler-right', 30, 0, true),
    ],
  },
  { axis: 'yaw', name: 'Yaw', positive: 'right', negative: 'left', surfaces: [surface('rudder', 25, -25)] },
]

const drawn = placed(axes, planform)
const of = (channel: string) => drawn.find((d) => d.surface.channel === channel)!
const xs = (channel: string) => of(channel).hinge.map((s) => s[0])

describe('the aircraft from behind and above', () => {
  it('has each surface on its own side', () => {
    expect(xs('aileron-left').every((x) => x < 0)).toBe(true)
    expect(xs('spoiler-left').every((x) => x < 0)).toBe(true)
    expect(xs('aileron-right').every((x) => x > 0)).toBe(true)
    expect(xs('spoiler-right').every((x) => x > 0)).toBe(true)
    expect(xs('elevator').map(Math.sign)).toEqual([-1, 1])
  })

  it('moves a surface up the paper when it goes up, and a rudder to the side it goes to', () => {
    const edge = (channel: string, deg: number) => seen(plate(of(channel), deg)[2]!)
    expect(edge('elevator', 24)[1]).toBeLessThan(edge('elevator', 0)[1])
    expect(edge('elevator', -16)[1]).toBeGreaterThan(edge('elevator', 0)[1])
    expect(edge('rudder', 25)[0]).toBeGreaterThan(edge('rudder', 0)[0])
    expect(edge('rudder', -25)[0]).toBeLessThan(edge('rudder', 0)[0])
  })

  it('lies within its frame with everything out', () => {
    const [x, y, width, height] = frame(planform, drawn)
    for (const d of drawn)
      for (const deg of [d.surface.positiveDeg, 0, d.surface.negativeDeg])
        for (const [px, py] of plate(d, deg).map(seen)) {
          expect(px).toBeGreaterThan(x)
          expect(px).toBeLessThan(x + width)
          expect(py).toBeGreaterThan(y)
          expect(py).toBeLessThan(y + height)
        }
    expect(path(plate(of('rudder'), 3))).toMatch(/^M[-\d.]+ [-\d.]+(L[-\d.]+ [-\d.]+){3}Z$/)
  })
})
