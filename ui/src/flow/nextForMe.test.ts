import { describe, expect, it } from 'vitest'
import type { DepartureView, PartView } from '../api.gen'
import { nextForMe } from './nextForMe'

const part = (id: string, ...seats: string[][]): PartView =>
  ({ id, title: id, stage: id, items: seats.map((s, n) => ({ id: `${id}-${n}`, seats: s })) }) as unknown as PartView
const walk = part('walk', ['right'], ['right'])
const flow = part('flow', ['left'], ['left', 'right'])
const view = (steps: object): DepartureView =>
  ({ card: { parts: [walk, flow] }, progress: { steps } }) as unknown as DepartureView

describe('what a seat has to do next', () => {
  it('is here as long as anything is, and then the first of the card', () => {
    expect(nextForMe(view({}), walk, 'right')).toEqual({ part: walk, items: 2 })
    expect(nextForMe(view({}), walk, 'left')).toEqual({ part: flow, items: 2 })
    expect(nextForMe(view({ 'flow-0': { settled: true, owes: [] } }), walk, 'left')).toEqual({ part: flow, items: 1 })
  })

  it('does not count what the seat has answered and the other has not', () => {
    const steps = {
      'walk-0': { settled: true, owes: [] },
      'walk-1': { settled: true, owes: [] },
      'flow-1': { settled: false, owes: ['left'] },
    }
    expect(nextForMe(view(steps), walk, 'right')).toBeUndefined()
  })
})
