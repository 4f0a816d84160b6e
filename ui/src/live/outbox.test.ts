import 'fake-indexeddb/auto'
import { describe, expect, it, vi } from 'vitest'
import { outboxOf } from './outbox'
import { reduceOutbox, type OutboxEvent, type OutboxState, type Outgoing } from './outboxState'
import { wordsKept } from './wordsKept'

const event = (id: string, kind = 'step-done'): Outgoing => ({
  id,
  deviceAt: '2027-01-14T07:25:00Z',
  device: 'd',
  kind,
  body: { step: id },
  label: id,
})
const empty: OutboxState = { waiting: [], taken: [], refused: [] }
const put = (s: OutboxState, id: string): OutboxState => reduceOutbox(s, { type: 'put', events: [event(id)] })

describe('the outbox', () => {
  it('keeps events in the order in which they were pressed', () => {
    expect(['a', 'b', 'c'].reduce(put, empty).waiting.map((w) => w.id)).toEqual(['a', 'b', 'c'])
  })

  it('remembers what was taken until the stream tells of it', () => {
    const s = reduceOutbox(put(put(empty, 'a'), 'b'), { type: 'accepted', event: event('a'), number: 7 })
    expect(s.waiting.map((w) => w.id)).toEqual(['b'])
    expect(s.taken).toMatchObject([{ id: 'a', kind: 'step-done', body: { step: 'a' }, number: 7 }])
    expect(reduceOutbox(s, { type: 'accepted', event: event('a'), number: 7 }).taken).toHaveLength(1)
  })

  it('does not grow for ever', () => {
    let s = empty
    for (let n = 0; n < 300; n++)
      s = reduceOutbox(put(s, `e${n}`), { type: 'accepted', event: event(`e${n}`), number: n })
    expect(s.taken.length).toBeLessThanOrEqual(100)
    expect(s.taken.at(-1)?.number).toBe(299)
  })

  it('holds a refusal with its reason until somebody has read it', () => {
    const refusal = {
      code: 'needs' as const,
      what: 'Before it comes the battery.',
      tryThis: 'Do that first.',
      faults: [],
    }
    const refused = reduceOutbox(put(empty, 'a'), { type: 'refused', event: event('a'), refusal })
    expect(refused.waiting).toEqual([])
    expect(refused.refused[0]).toMatchObject({ code: 'needs', what: 'Before it comes the battery.' })
    expect(reduceOutbox(refused, { type: 'dismissed', id: 'a' }).refused).toEqual([])
  })

  it('makes the same of each event when a tab hears of it twice', () => {
    const told: OutboxEvent[] = [
      { type: 'put', events: [event('a'), event('b')] },
      { type: 'accepted', event: event('a'), number: 7 },
      { type: 'refused', event: event('b'), refusal: { code: 'wait', what: 'x', tryThis: 'x', faults: [] } },
    ]
    const once = told.reduce(reduceOutbox, empty)
    expect(told.reduce(reduceOutbox, once)).toBe(once)
    expect(told.flatMap((t) => [t, t]).reduce(reduceOutbox, empty)).toEqual(once)
  })

  it('says that a word is kept when it is on the disk, and shows it before', async () => {
    vi.stubGlobal('window', new EventTarget())
    const outbox = outboxOf('f1', 'adeyo')
    const told: number[] = []
    outbox.subscribe(() => told.push(outbox.kept()))
    outbox.put('step-done', { step: 'a' }, 'a')
    expect(outbox.snapshot().waiting).toHaveLength(1)
    expect(outbox.kept()).toBe(0)
    await vi.waitFor(() => expect(outbox.kept()).toBe(1))
    expect([told.at(0), told.at(-1)]).toEqual([0, 1])
    expect((await wordsKept.all('adeyo/f1')).waiting).toHaveLength(1)
  })
})
