import type { Condition, Json, PackDoc } from './packDoc'
import type { EditorView } from '../api.gen'

/** A condition as the builder shows it: facts in groups, each of which may be turned round. */
export type Node = Group | FactNode

export interface Group {
  op: 'all' | 'any'
  not: boolean
  items: Node[]
}

export interface FactNode {
  /** Which fact, and of what: "fitted=apu", "dark", "colder-than". */
  fact: string
  /** A number or an airfield, for facts that want one. */
  value: string
  not: boolean
}

export const isGroup = (n: Node): n is Group => 'op' in n

/** Facts that want a number, with the unit behind it. */
export const NUMBERS: Record<string, string> = { 'colder-than': '°C', 'wind-above': 'kt', 'visibility-below': 'm' }
const AIRFIELDS = ['from', 'to']
const NAMED = ['fitted', 'sub-type', 'tail', 'weather', 'school']

export const wants = (fact: string): 'number' | 'airfield' | '' =>
  fact in NUMBERS || fact.startsWith('measured-below=') ? 'number' : AIRFIELDS.includes(fact) ? 'airfield' : ''

export const unitOf = (fact: string, doc: PackDoc): string =>
  NUMBERS[fact] ?? doc.quantities?.find((q) => `measured-below=${q.id}` === fact)?.unit ?? ''

const read = (c: Condition, not: boolean): Node => {
  const [name, value] = Object.entries(c)[0] ?? ['dark', true]
  if (name === 'not') return read(value as Condition, !not)
  if (name === 'all' || name === 'any')
    return { op: name, not, items: (value as Condition[]).map((x) => read(x, false)) }
  if (NAMED.includes(name)) return { fact: `${name}=${String(value)}`, value: '', not }
  if (name === 'measured-below') {
    const m = value as { quantity: string; limit: number }
    return { fact: `measured-below=${m.quantity}`, value: String(m.limit), not }
  }
  if (typeof value === 'boolean') return { fact: name, value: '', not: value === not }
  return { fact: name, value: String(value), not }
}

/** A step's `when`, as one group; none for a step that always applies. */
export const toTree = (when: Condition | undefined): Group => {
  if (!when) return { op: 'all', not: false, items: [] }
  const node = read(when, false)
  return isGroup(node) ? node : { op: 'all', not: false, items: [node] }
}

const write = (n: Node, doc: PackDoc): Condition | undefined => {
  if (isGroup(n)) {
    const items = n.items.map((i) => write(i, doc)).filter((c): c is Condition => c !== undefined)
    if (items.length === 0) return undefined
    const joined: Condition = items.length === 1 ? items[0]! : { [n.op]: items }
    return n.not ? { not: joined } : joined
  }
  const [name, of] = n.fact.split('=', 2) as [string, string?]
  const turned = (c: Condition): Condition => (n.not ? { not: c } : c)
  if (name === 'measured-below')
    return turned({ [name]: { quantity: of!, unit: unitOf(n.fact, doc), limit: numeric(n.value) } })
  if (of !== undefined) return turned({ [name]: of })
  if (name in NUMBERS) return turned({ [name]: numeric(n.value) })
  if (AIRFIELDS.includes(name)) return turned({ [name]: n.value.toUpperCase() })
  return { [name]: !n.not }
}

/** What is not a number yet goes out as it is, so that the check can say so. */
const numeric = (text: string): Json => (text.trim() !== '' && Number.isFinite(Number(text)) ? Number(text) : text)

export const toWhen = (g: Group, doc: PackDoc): Condition | undefined => write(g, doc)

export interface FactChoice {
  group: string
  items: { value: string; label: string }[]
}

/** Every fact a condition of this pack may ask of, in words. */
export const factChoices = (doc: PackDoc, editor: EditorView): FactChoice[] => [
  {
    group: 'Tail',
    items: [
      ...(doc.equipment ?? []).map((e) => ({
        value: `fitted=${e}`,
        label: `${e.length <= 3 ? e.toUpperCase() : e.replaceAll('-', ' ')} fitted`,
      })),
      ...(doc['sub-types'] ?? []).map((s) => ({ value: `sub-type=${s.id}`, label: s.name })),
      ...doc.tails.map((t) => ({ value: `tail=${t.id}`, label: t.id })),
    ],
  },
  { group: 'Day', items: editor.circumstances.map((c) => ({ value: c.id, label: c.words })) },
  {
    group: 'Light and weather',
    items: [
      { value: 'dark', label: 'dark' },
      { value: 'colder-than', label: 'colder than' },
      { value: 'wind-above', label: 'wind above' },
      { value: 'visibility-below', label: 'visibility below' },
      ...editor.sky.map((c) => ({ value: `weather=${c.id}`, label: c.words })),
    ],
  },
  {
    group: 'Airfield',
    items: [
      { value: 'from', label: 'departing from' },
      { value: 'to', label: 'going to' },
    ],
  },
  {
    group: 'Measured',
    items: (doc.quantities ?? []).map((q) => ({
      value: `measured-below=${q.id}`,
      label: `${q.name.toLowerCase()} below`,
    })),
  },
  {
    group: 'School',
    items: editor.matters.flatMap((m) =>
      m.schools.map((s) => ({ value: `school=${s.id}`, label: `${m.words}: ${s.words}` })),
    ),
  },
]
