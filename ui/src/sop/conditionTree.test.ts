import { describe, expect, it } from 'vitest'
import type { EditorView } from '../api.gen'
import { factChoices, isGroup, toTree, toWhen, wants } from './conditionTree'
import type { Condition, PackDoc } from './packDoc'

const doc: PackDoc = {
  id: 'pack',
  revision: '1',
  title: 'Pack',
  tails: [{ id: 'TL-ONE' }],
  equipment: ['apu', 'freight-door'],
  'sub-types': [{ id: 'long', name: 'Long' }],
  quantities: [{ id: 'oxygen', name: 'Crew oxygen', unit: 'psi' }],
  procedures: [],
}

const FACTS: Condition[] = [
  { fitted: 'apu' },
  { 'sub-type': 'long' },
  { tail: 'TL-ONE' },
  { school: 'hydraulics-on' },
  { dark: true },
  { dark: false },
  { 'colder-than': 3 },
  { 'wind-above': 25 },
  { 'visibility-below': 550 },
  { weather: 'snow' },
  { 'first-flight': true },
  { fuelling: false },
  { from: 'QODY' },
  { to: 'QTRN' },
  { 'measured-below': { quantity: 'oxygen', unit: 'psi', limit: 1300 } },
  { not: { fitted: 'apu' } },
  { not: { 'colder-than': 6 } },
]

describe('a condition in the builder', () => {
  it.each(FACTS)('comes back as it went in: %j', (when) => {
    expect(toWhen(toTree(when), doc)).toEqual(when)
  })

  it('always is nothing to show and nothing to write', () => {
    expect(toTree(undefined).items).toEqual([])
    expect(toWhen(toTree(undefined), doc)).toBeUndefined()
  })

  it('keeps groups within groups, turned round or not', () => {
    const when: Condition = {
      any: [
        { 'first-flight': true },
        { all: [{ dark: true }, { not: { any: [{ weather: 'snow' }, { fuelling: true }] } }] },
      ],
    }
    expect(toWhen(toTree(when), doc)).toEqual(when)
    const turned: Condition = { not: { all: [{ dark: true }, { fuelling: true }] } }
    expect(toWhen(toTree(turned), doc)).toEqual(turned)
  })

  it('turned twice is not turned', () => {
    expect(toWhen(toTree({ not: { not: { dark: true } } }), doc)).toEqual({ dark: true })
  })

  it('sends out what is not a number yet as it stands, for the check to say', () => {
    const tree = toTree({ 'colder-than': 3 })
    const fact = tree.items[0]!
    expect(isGroup(fact)).toBe(false)
    expect(toWhen({ ...tree, items: [{ ...fact, value: 'x' } as typeof fact] }, doc)).toEqual({ 'colder-than': 'x' })
  })

  it('drops a group that has nothing in it', () => {
    expect(toWhen({ op: 'all', not: false, items: [{ op: 'any', not: true, items: [] }] }, doc)).toBeUndefined()
  })

  it('offers what this pack declares, in words', () => {
    const choice = (id: string) => ({ id, words: id.replaceAll('-', ' ') })
    const editor = {
      stages: [],
      kinds: [],
      owners: [],
      units: [],
      circumstances: [choice('first-flight')],
      sky: [choice('snow')],
      matters: [{ id: 'radar', words: 'Radar', schools: [{ id: 'radar-off', words: 'Off' }] }],
    } as unknown as EditorView
    const labels = factChoices(doc, editor).flatMap((g) => g.items.map((i) => i.label))
    expect(labels).toEqual(
      expect.arrayContaining([
        'APU fitted',
        'freight door fitted',
        'Long',
        'TL-ONE',
        'first flight',
        'snow',
        'crew oxygen below',
        'Radar: Off',
      ]),
    )
    const values = factChoices(doc, editor).flatMap((g) => g.items.map((i) => i.value))
    expect(values.filter((v) => wants(v) === 'number')).toEqual([
      'colder-than',
      'wind-above',
      'visibility-below',
      'measured-below=oxygen',
    ])
  })
})
