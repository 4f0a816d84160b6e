import { describe, expect, it } from 'vitest'
import type { StepView } from '../api.gen'
import { lastSaid } from './lastSaid'

const items = ['a', 'b', 'c', 'd'].map((id) => ({ id }))
const step = (...marks: [seat: string, number: number, outcome: string, at?: string][]): StepView =>
  ({ marks: marks.map(([seat, number, outcome, at = '']) => ({ seat, number, outcome, at })) }) as unknown as StepView
const any = () => true
const ids = (of: { id: string }[]): string[] => of.map((i) => i.id)

describe('what a seat said last', () => {
  it('is nothing where it has said nothing', () => {
    expect(lastSaid(items, {}, 'left', any)).toEqual([])
    expect(lastSaid(items, { a: step(['right', 4, 'done']) }, 'left', any)).toEqual([])
  })
  it('goes by the log, neither by the card nor by the clock', () => {
    const steps = {
      a: step(['left', 9, 'done', '07:31']),
      b: step(['left', 7, 'done', '07:33']),
      d: step(['left', 8, 'done', '07:32']),
    }
    expect(ids(lastSaid(items, steps, 'left', any))).toEqual(['a', 'd', 'b'])
  })
  it('goes by its own word where both have answered', () => {
    const steps = { a: step(['left', 5, 'done'], ['right', 9, 'done']), b: step(['left', 6, 'done']) }
    expect(ids(lastSaid(items, steps, 'left', any))).toEqual(['b', 'a'])
    expect(ids(lastSaid(items, steps, 'right', any))).toEqual(['a'])
  })
  it('leaves out what does not count', () => {
    const steps = { a: step(['left', 5, 'done']), b: step(['left', 6, 'find']) }
    expect(ids(lastSaid(items, steps, 'left', (m) => m.outcome !== 'find'))).toEqual(['a'])
  })
})
