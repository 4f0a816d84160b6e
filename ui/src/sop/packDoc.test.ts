import { describe, expect, it } from 'vitest'
import {
  edited,
  find,
  freshId,
  moved,
  reduceHistory,
  type Edit,
  type History,
  type PackDoc,
  type StepDoc,
} from './packDoc'

const step = (id: string, more: Partial<StepDoc> = {}): StepDoc => ({
  id,
  at: 'overhead',
  challenge: `Challenge ${id}`,
  response: 'seen',
  ...more,
})

const doc: PackDoc = {
  id: 'pack',
  revision: '1',
  title: 'Pack',
  tails: [{ id: 'TL-ONE' }],
  procedures: [
    {
      id: 'flow',
      title: 'Flow',
      stage: 'flows',
      kind: 'flow',
      owner: 'right',
      steps: [step('a'), step('b', { needs: ['a'] }), step('c', { 'after-wait': ['a'] })],
    },
    { id: 'list', title: 'List', stage: 'start', kind: 'checklist', owner: 'left', steps: [step('d'), step('e')] },
  ],
  waivers: [{ rule: 'never', at: 'a', reason: 'meant' }],
}

const ids = (d: PackDoc): string[][] => d.procedures.map((p) => p.steps.map((s) => s.id))

describe('edits', () => {
  it('leave what they do not touch as the same object', () => {
    const next = edited(doc, { type: 'step', at: { p: 0, s: 1 }, change: { response: 'on' } })
    expect(next.procedures[0]!.steps[1]!.response).toBe('on')
    expect(next.procedures[0]!.steps[0]).toBe(doc.procedures[0]!.steps[0])
    expect(next.procedures[1]).toBe(doc.procedures[1])
    expect(doc.procedures[0]!.steps[1]!.response).toBe('seen')
  })

  it('of a place leave the others, and steps, as they are', () => {
    const there: PackDoc = {
      ...doc,
      panels: [
        { id: 'overhead', name: 'Overhead' },
        { id: 'side', name: 'Side' },
      ],
    }
    const next = edited(there, { type: 'place', id: 'overhead', change: { glance: 'all forward' } })
    expect(next.panels![0]).toEqual({ id: 'overhead', name: 'Overhead', glance: 'all forward' })
    expect(next.panels![1]).toBe(there.panels![1])
    expect(next.procedures).toBe(there.procedures)
    expect(edited(next, { type: 'place', id: 'overhead', change: { glance: '' } }).panels).toEqual(there.panels)
  })

  it('leave out fields that are empty, but never challenge and response', () => {
    const next = edited(doc, {
      type: 'step',
      at: { p: 0, s: 1 },
      change: { needs: [], caution: '', critical: false, sets: {}, response: '' },
    })
    expect(next.procedures[0]!.steps[1]).toEqual({ id: 'b', at: 'overhead', challenge: 'Challenge b', response: '' })
  })

  it('rename a step wherever it is named', () => {
    const next = edited(doc, { type: 'step', at: { p: 0, s: 0 }, change: { id: 'first' } })
    expect(next.procedures[0]!.steps.map((s) => s.needs ?? s['after-wait'])).toEqual([
      undefined,
      ['first'],
      ['first'],
    ])
    expect(next.waivers).toEqual([{ rule: 'never', at: 'first', reason: 'meant' }])
  })

  it('move a step over the end of its procedure into the next, where it keeps its owner', () => {
    expect(moved(doc, { p: 0, s: 2 }, 1)).toEqual({ p: 1, s: 0 })
    const next = edited(doc, { type: 'move', at: { p: 0, s: 2 }, by: 1 })
    expect(ids(next)).toEqual([
      ['a', 'b'],
      ['c', 'd', 'e'],
    ])
    expect(next.procedures[1]!.steps[0]!.owner).toBe('right')
    expect(ids(edited(next, { type: 'move', at: { p: 1, s: 0 }, by: -1 }))).toEqual(ids(doc))
    expect(moved(doc, { p: 0, s: 0 }, -1)).toEqual({ p: 0, s: 0 })
  })

  it('never move the last step out of a procedure, which would leave it without any', () => {
    const one = edited(doc, { type: 'remove', at: { p: 1, s: 1 } })
    expect(ids(edited(one, { type: 'move', at: { p: 1, s: 0 }, by: -1 }))).toEqual(ids(one))
  })

  it('give a step a value of today and its parts, and take them back whole', () => {
    const at = { p: 0, s: 1 }
    const value = edited(doc, {
      type: 'step',
      at,
      change: {
        value: { of: 'landing-elevation', plus: -200, back: true },
        course: [{ act: 'Press', see: 'bell' }],
        'tests-lights': true,
      },
    })
    expect(value.procedures[0]!.steps[1]).toMatchObject({
      value: { of: 'landing-elevation', plus: -200, back: true },
      course: [{ act: 'Press', see: 'bell' }],
      'tests-lights': true,
    })
    const bare = edited(value, {
      type: 'step',
      at,
      change: { value: undefined, course: [], 'tests-lights': false } as unknown as Partial<StepDoc>,
    })
    expect(bare).toEqual(doc)
  })

  it('want controls on the runway, and no longer', () => {
    const wanted = edited(doc, { type: 'takeoff', states: { flaps: '15' } })
    expect(wanted.takeoff).toEqual({ flaps: '15' })
    expect(edited(wanted, { type: 'takeoff', states: {} })).toEqual(doc)
  })

  it('waive and take it back', () => {
    const waived = edited(doc, { type: 'waive', rule: 'capitals', at: 'b', reason: 'a placard' })
    expect(waived.waivers).toHaveLength(2)
    expect(edited(waived, { type: 'unwaive', rule: 'capitals', at: 'b' }).waivers).toEqual(doc.waivers)
  })

  it('give a copy a name no other step has', () => {
    expect(freshId(doc, 'a')).toBe('a-2')
    const two = edited(doc, { type: 'insert', at: { p: 0, s: 1 }, step: step('a-2') })
    expect(freshId(two, 'a-2')).toBe('a-3')
    expect(find(two, 'a-2')).toEqual({ p: 0, s: 1 })
    expect(find(doc, 'nowhere')).toBeUndefined()
  })
})

describe('undo', () => {
  const begin: History = { past: [], now: doc, future: [], last: '' }
  const random = (seed: number) => () => (seed = (seed * 16807) % 2147483647) / 2147483647

  const some = (d: PackDoc, next: () => number): Edit => {
    const p = Math.floor(next() * d.procedures.length)
    const s = Math.floor(next() * d.procedures[p]!.steps.length)
    const at = { p, s }
    const edits: Edit[] = [
      { type: 'step', at, change: { response: `response ${Math.floor(next() * 9)}` } },
      { type: 'step', at, change: { id: freshId(d, 'x') } },
      { type: 'insert', at, step: step(freshId(d, 'n')) },
      { type: 'move', at, by: next() < 0.5 ? 1 : -1 },
      { type: 'policy', matter: 'radar', school: 'radar-off' },
      { type: 'procedure', p, change: { title: `title ${Math.floor(next() * 9)}` } },
      ...(d.procedures[p]!.steps.length > 1 ? [{ type: 'remove', at } as Edit] : []),
    ]
    return edits[Math.floor(next() * edits.length)]!
  }

  it('takes any run of edits back to where it began, and does them again', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const next = random(seed)
      let h = begin
      for (let n = 0; n < 25; n++) h = reduceHistory(h, { type: 'edit', edit: some(h.now, next) })
      const end = h.now
      while (h.past.length > 0) h = reduceHistory(h, { type: 'undo' })
      expect(h.now).toEqual(doc)
      while (h.future.length > 0) h = reduceHistory(h, { type: 'redo' })
      expect(h.now).toEqual(end)
    }
  })

  it('counts typing in one field as one thing', () => {
    const typed = ['o', 'on', 'on,'].reduce<History>(
      (h, response) =>
        reduceHistory(h, { type: 'edit', edit: { type: 'step', at: { p: 0, s: 0 }, change: { response } } }),
      begin,
    )
    expect(typed.past).toHaveLength(1)
    expect(reduceHistory(typed, { type: 'undo' }).now).toBe(doc)
  })

  it('forgets what was undone once something else is edited', () => {
    const one = reduceHistory(begin, { type: 'edit', edit: { type: 'remove', at: { p: 0, s: 0 } } })
    const back = reduceHistory(one, { type: 'undo' })
    expect(reduceHistory(back, { type: 'edit', edit: { type: 'remove', at: { p: 1, s: 0 } } }).future).toEqual([])
    expect(reduceHistory(begin, { type: 'undo' })).toBe(begin)
    expect(reduceHistory(begin, { type: 'redo' })).toBe(begin)
  })
})
