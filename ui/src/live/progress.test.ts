import { describe, expect, it } from 'vitest'
import type { Progress, ProgressChange } from '../api.gen'
import { changed } from './progress'

const before = {
  number: 7,
  cardKey: 4,
  beads: [
    { stage: 'walk', done: 1 },
    { stage: 'flows', done: 0 },
  ],
  steps: { a: { status: 'done' }, b: { status: 'later' } },
  tags: [
    { key: 'covers', title: '2 of 2' },
    { key: 'pins', title: 'Pins' },
  ],
  passed: ['a'],
} as unknown as Progress

const after = (change: object) =>
  changed(before, { from: 7, number: 9, cardKey: 4, ...change } as unknown as ProgressChange) as unknown as Record<
    string,
    unknown
  >

describe('a change of the progress', () => {
  it('leaves what it does not name the very same, so that it is not drawn again', () => {
    const now = after({ steps: { gone: ['b'], changed: { c: { status: 'done' } } } })
    expect(now.steps).toEqual({ a: { status: 'done' }, c: { status: 'done' } })
    expect(now.number).toBe(9)
    expect(now.tags).toBe(before.tags)
    expect(now.beads).toBe(before.beads)
    expect((now.steps as Progress['steps']).a).toBe(before.steps.a)
    expect(now).not.toHaveProperty('from')
  })

  it('puts lists in their new order, and keeps the order where none is told', () => {
    expect(after({ beads: { changed: { flows: { stage: 'flows', done: 1 } } } }).beads).toEqual([
      { stage: 'walk', done: 1 },
      { stage: 'flows', done: 1 },
    ])
    expect(after({ tags: { order: ['new', 'pins'], changed: { new: { key: 'new', title: 'New' } } } }).tags).toEqual([
      { key: 'new', title: 'New' },
      before.tags[1],
    ])
  })

  it('takes what has no keys whole, and what comes first too', () => {
    expect(after({ passed: [], tiedOff: { by: 'Ida' } })).toMatchObject({ passed: [], tiedOff: { by: 'Ida' } })
  })

  it('is nothing where something before it was missed', () => {
    expect(changed({ ...before, number: 8 }, { from: 7, number: 9, cardKey: 4 })).toBeUndefined()
  })
})
