import { describe, expect, it } from 'vitest'
import type { Check } from '../live/samples'
import { Playback } from './playback'

const check = (rows: (number | null)[][], stands: Check['stands'] = 'under-way'): Check => ({
  number: 1,
  stands,
  channels: ['left-roll', 'right-roll', 'rudder'],
  basis: '',
  calls: [],
  rows,
  heardAt: 0,
  part: 0,
})

/** 50 Hz, the sticks rising against each other. */
const rows = (to: number) => Array.from({ length: to * 50 }, (_, i) => [i / 50, i, i / 2, i / 10])

describe('the picture of a check under way', () => {
  it('never runs ahead of what came, never back, and keeps up with it', () => {
    const playback = new Playback()
    const shown = check([])
    let before = -1
    for (let frame = 0; frame < 600; frame++) {
      const now = (frame * 1000) / 60
      // It comes in bursts of a third of a second.
      const come = Math.floor(now / 333) * 0.333
      shown.rows = rows(12).filter((r) => r[0]! <= come)
      const moment = playback.frame(shown, now)
      if (!moment) continue
      expect(moment.seconds).toBeLessThanOrEqual(come)
      expect(moment.seconds).toBeGreaterThanOrEqual(before)
      before = moment.seconds
    }
    expect(before).toBeGreaterThan(9.4)
  })

  it('draws between two samples, adds two sticks as far as the stops, and holds what is not told', () => {
    const playback = new Playback()
    const moment = playback.frame(
      check(
        [
          [0, 30, 20, 4],
          [1, 90, 80, null],
        ],
        'ended',
      ),
      0,
    )!
    expect(moment.seconds).toBe(1)
    expect(moment.control('roll')).toBe(100)
    expect(moment.value('rudder')).toBe(4)
    expect(moment.value('elevator')).toBeNaN()
    expect(moment.control('pitch')).toBe(0)
  })

  it('begins anew with another check', () => {
    const playback = new Playback()
    playback.frame(check(rows(4), 'ended'), 0)
    expect(playback.frame({ ...check(rows(1), 'ended'), number: 2 }, 16)!.seconds).toBeCloseTo(0.98)
  })
})
