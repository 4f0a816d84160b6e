import { describe, expect, it, vi } from 'vitest'
import type { DepartureView, ItemView } from '../api.gen'
import { closedBy } from './gates'
import type { Outgoing } from './outboxState'
import { statusOf } from './marks'
import { withUnsent } from './overlay'

const item = (id: string, seats: string[], more: object = {}) =>
  ({
    id,
    challenge: id,
    seats,
    any: false,
    opens: [],
    closes: [],
    needs: [],
    afterWait: [],
    ...more,
  }) as unknown as ItemView
const view = {
  header: { resuming: 'go-on' },
  card: {
    tags: [],
    handedOver: [],
    parts: [
      {
        kind: 'walkaround',
        stage: 'walkaround',
        items: [
          item('a', ['right'], { waits: { seconds: 180, words: '3 min' } }),
          item('b', ['left', 'right'], { afterWait: ['a'] }),
          item('c', ['left', 'right'], { any: true, needs: ['a'] }),
        ],
      },
    ],
  },
  progress: {
    number: 7,
    beads: [],
    finds: [],
    passed: [],
    parts: {},
    briefing: [],
    seats: [{ seat: 'left' }, { seat: 'right' }],
    waits: [{ step: '', tag: 't' }],
    tags: [
      { key: 'by-hand/t', hand: 't', open: [] },
      { key: 'find/f', hand: '', open: [] },
    ],
    allowed: { a: { least: 80.7, words: '80.7 psi or more' }, c: { words: 'no value' } },
    gates: { c: [{ before: 'a', words: '', waits: false }], b: [{ before: 'a', words: '', waits: true }] },
    steps: {
      b: {
        status: 'part',
        settled: false,
        owes: ['right'],
        disagreed: false,
        marks: [
          { outcome: 'done', by: 'Marsk', who: 'marsk', device: 'd-m', seat: 'left', at: '', number: 3, words: '' },
        ],
      },
    },
  },
} as unknown as DepartureView
const event = (kind: string, body: Record<string, unknown>): Outgoing => ({
  id: kind + JSON.stringify(body),
  deviceAt: '2027-01-14T07:30:00Z',
  device: 'd',
  kind,
  body,
  label: '',
})
const BEGUN = '2027-01-14T07:20:00Z'
const WREN = { id: 'adeyo', name: 'Adeyo', device: 'd', seat: 'right' } as const
const steps = (...waiting: Outgoing[]) => withUnsent(view, waiting, [], WREN).view.progress.steps

describe('what is kept here and not yet sent', () => {
  it('counts as said, in order, and can be taken back', () => {
    expect(steps(event('step-done', { step: 'a' })).a).toMatchObject({ status: 'done', settled: true })
    expect(statusOf(withUnsent(view, [event('step-done', { step: 'a' })], [], WREN).view.progress, 'a')).toBe(
      'sending',
    )
    expect(steps(event('step-done', { step: 'a' }), event('step-undone', { step: 'a' })).a).toMatchObject({
      status: 'open',
      settled: false,
    })
    expect(steps(event('step-done', { step: 'c' }), event('step-undone', { step: 'c' })).c).toMatchObject({
      owes: ['left', 'right'],
    })
    expect(steps(event('step-later', { step: 'a', reason: 'loaders' })).a).toMatchObject({
      status: 'later',
      settled: false,
    })
    expect(
      steps(event('step-later', { step: 'a', reason: 'loaders' }), event('measured', { step: 'a', value: 4.2 })).a
        ?.marks,
    ).toHaveLength(1)
  })
  it('is a find where a value is not what was told to be right today, until a better one is read', () => {
    const read = (value: number, step = 'a') => event('measured', { step, value })
    expect(steps(read(80.6)).a).toMatchObject({
      settled: true,
      marks: [{ outcome: 'find' }],
      reading: { level: 'out', words: 'Read 80.6; right today: 80.7 psi or more.' },
    })
    expect(steps(read(80.6), read(80.7)).a).toMatchObject({
      settled: true,
      marks: [{ outcome: 'done' }],
      reading: undefined,
    })
    expect(steps(read(1, 'c')).c?.marks[0]?.outcome).toBe('find')
    expect(steps(read(-5, 'b')).b?.marks.at(-1)?.outcome).toBe('done')
  })
  it('keeps what the other seat said, and is whole only when both have', () => {
    expect(steps(event('step-done', { step: 'b' })).b).toMatchObject({
      settled: true,
      marks: [{ by: 'Marsk' }, { by: 'Adeyo' }],
    })
    expect(steps(event('step-done', { step: 'c' })).c?.settled).toBe(true)
  })
  it('stands in the log after all that is told, whatever the clock says', () => {
    const late = { ...event('step-done', { step: 'c' }), deviceAt: '2027-01-14T07:29:00Z' }
    const { a, c } = steps(event('step-done', { step: 'a' }), late)
    expect([a!.marks[0]!.number, c!.marks[0]!.number]).toEqual([8, 9])
  })
  it('knows who is away, what was seen over, taken off and passed', () => {
    const after = (...waiting: Outgoing[]) => withUnsent(view, waiting, [], WREN).view.progress
    expect(after(event('interrupted', {})).seats.map((s) => s.away)).toEqual([undefined, '2027-01-14T07:30:00Z'])
    expect(after(event('interrupted', {}), event('went-on', {})).seats[1]?.away).toBeUndefined()
    expect(after(event('wait-seen', { step: 'a' })).waits).toEqual([{ step: '', tag: 't' }])
    const taken = after(event('tag-taken', { tag: 't' }))
    expect([taken.tags.map((t) => t.key), taken.waits.map((w) => w.step)]).toEqual([['find/f'], []])
    expect(closedBy(after(event('overridden', { step: 'c' })), 'c')).toEqual([])
  })
  it('takes off the tag of a time that was seen over', () => {
    const kind = { id: 'wait', hangsOn: 'wait', title: '{what}' }
    const hanging = {
      ...view,
      card: { ...view.card, tags: [kind] },
      progress: {
        ...view.progress,
        steps: { a: { settled: true, marks: [{ outcome: 'done', at: BEGUN, number: 3, seat: 'right' }] } },
        waits: [{ step: 'a', tag: '', since: BEGUN }],
        tags: [{ key: 'wait/a' }, { key: 'find/f' }],
      },
    } as unknown as DepartureView
    expect(withUnsent(hanging, [event('wait-seen', { step: 'a' })], [], WREN).view.progress.tags).toEqual([
      { key: 'find/f' },
    ])
  })
  it('opens what needed a step once that is said here, alone or with it; a time only when it is over', () => {
    const now = vi.spyOn(Date, 'now').mockReturnValue(Date.parse('2027-01-14T07:32:59Z'))
    const before = withUnsent(view, [], [], WREN).view.progress
    const said = withUnsent(view, [event('step-done', { step: 'a' })], [], WREN).view.progress
    expect(closedBy(before, 'c')).toHaveLength(1)
    expect(closedBy(before, 'c', new Set(['a']))).toHaveLength(0)
    expect(closedBy(before, 'b', new Set(['a']))).toHaveLength(1)
    expect(closedBy(said, 'c')).toHaveLength(0)
    expect(closedBy(said, 'b')).toHaveLength(1)
    expect(said.waits).toContainEqual({
      step: 'a',
      tag: '',
      words: 'a: 3 min',
      since: '2027-01-14T07:30:00Z',
      until: '2027-01-14T07:33:00.000Z',
    })
    const back = withUnsent(view, [event('step-done', { step: 'a' }), event('step-undone', { step: 'a' })], [], WREN)
      .view.progress
    expect([back.waits, closedBy(back, 'c').length]).toEqual([[{ step: '', tag: 't' }], 1])
    now.mockReturnValue(Date.parse('2027-01-14T07:33:00Z'))
    expect(closedBy(said, 'b')).toHaveLength(0)
    now.mockRestore()
  })
  it('passes over what the server tells of already, and steps that are not on the card', () => {
    const taken = [{ id: 'x', deviceAt: '', kind: 'step-done', body: { step: 'a' }, number: 7 }]
    expect(withUnsent(view, [], taken, WREN).view.progress.steps.a).toBeUndefined()
    expect(steps(event('step-done', { step: 'gone' })).gone).toBeUndefined()
  })
})

it('a panel given back asks who worked it before again, where what was said there became untrue since', () => {
  const part = {
    ...view.card!.parts[0]!,
    id: 'flow',
    byPanel: true,
    items: [{ ...view.card!.parts[0]!.items[0]!, id: 'd', place: 'p', waits: undefined }],
  }
  const again = {
    ...view,
    card: { ...view.card!, handedOver: ['p'], parts: [part] },
    progress: {
      ...view.progress,
      steps: { d: { ...view.progress.steps.b!, status: 'again', owes: ['right'] } },
    },
  } as unknown as DepartureView
  const given = event('panel-handed-over', { panel: 'p', to: 'left' })
  expect(withUnsent(again, [given], [], WREN).view.progress.steps.d!.owes).toEqual(['left'])
})
