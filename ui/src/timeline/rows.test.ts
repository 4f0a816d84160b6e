import { describe, expect, it } from 'vitest'
import { lanesOf, place, timeAt, timesOf, type Drawn } from './rows'

const drawn = (key: string, begins: number, ends: number): Drawn => ({ key, what: key, begins, ends })

describe('what goes on at once', () => {
  it('stands in lanes of its own, and in rows from time to time', () => {
    const all = [drawn('fuel', 0, 30), drawn('board', 20, 60), drawn('sheet', 40, 40), drawn('doors', 60, 70)]
    const times = timesOf(all)
    const placed = place(all, times)
    expect(times).toEqual([0, 20, 30, 40, 60, 70])
    expect(placed.map((p) => [p.key, p.row, p.rows, p.lane])).toEqual([
      ['fuel', 0, 2, 0],
      ['board', 1, 3, 1],
      ['sheet', 3, 1, 0],
      ['doors', 4, 1, 0],
    ])
    expect(lanesOf(placed)).toBe(2)
  })

  it('is dragged to the time between two that its height says', () => {
    const times = [0, 60, 300]
    expect(timeAt(-5, [20, 40], 0, times)).toBe(0)
    expect(timeAt(10, [20, 40], 0, times)).toBe(30)
    expect(timeAt(40, [20, 40], 0, times)).toBe(180)
    expect(timeAt(35, [20, 40], 10, times)).toBe(60 + (5 / 50) * 240)
    expect(timeAt(999, [20, 40], 10, times)).toBe(300)
  })

  it('never lies on one another, whatever it is', () => {
    let seed = 2705
    const next = (n: number) => (seed = (seed * 48271) % 2147483647) % n
    for (let run = 0; run < 300; run++) {
      const all = Array.from({ length: 1 + next(12) }, (_, i) => {
        const begins = next(50)
        return drawn(String(i), begins, begins + next(20))
      })
      const placed = place(all, timesOf(all))
      for (const a of placed)
        for (const b of placed)
          if (a !== b && a.lane === b.lane)
            expect(a.row + a.rows <= b.row || b.row + b.rows <= a.row, `${run}: ${a.key}, ${b.key}`).toBe(true)
    }
  })
})
