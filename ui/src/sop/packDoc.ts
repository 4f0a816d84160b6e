/**
 * A pack as its open format has it (docs/formats/pack.md), as far as the editor touches it; the rest passes
 * through.
 */
export type Json = string | number | boolean | null | Json[] | { [name: string]: Json }
export type Condition = { [field: string]: Json }
export type States = Record<string, string>

/**
 * A value that today gives: of a figure, with something added; critical figures both agreed on; a control's position;
 * or whose turn it is.
 */
export interface ValueDoc {
  of?: string
  agreed?: string | string[]
  position?: string
  turn?: boolean
  plus?: number
  /** Whether it is asked back. */
  back?: boolean
}

/** A time that must pass after a step; from some latitude on another. */
export interface WaitDoc {
  seconds: number
  before: string
  'nearer-poles'?: { 'from-deg': number; seconds: number }[]
}

export interface StepDoc {
  id: string
  at: string
  owner?: string
  challenge: string
  response: string
  when?: Condition
  caution?: string
  why?: string
  /** Names of the pack's drawings that show it. */
  looks?: { right?: string[]; wrong?: string[] }
  /** As printed on the operator's card. */
  number?: number
  critical?: boolean
  alerted?: boolean
  sets?: States
  expects?: States
  verifies?: States
  needs?: string[]
  opens?: Json[]
  closes?: Json[]
  waits?: WaitDoc
  'after-wait'?: string[]
  measures?: { quantity: string; unit: string; least?: number; most?: number }
  alternates?: { choices: string[]; memory?: string }
  'below-line'?: boolean
  enters?: string[]
  only?: { figure: string; values: string[]; because: string; when?: Condition }[]
  says?: string
  value?: ValueDoc
  course?: { act: string; see: string }[]
  messages?: { shows: string; expected?: string }[]
  'changes-trim'?: boolean
  'tests-lights'?: boolean
  'not-while-fuelling'?: boolean
}

export interface ProcedureDoc {
  id: string
  title: string
  stage: string
  kind: string
  owner?: string
  leaves?: States
  'takes-s'?: number
  'monitoring-done-min'?: number
  steps: StepDoc[]
}

export interface PointDoc {
  id: string
  name: string
  positions?: string[]
  states?: string[]
  /** The critical figure that says where it stands. */
  agreed?: string
}

export interface PlaceDoc {
  id: string
  name: string
  /** How it looks at one look when all is right. */
  glance?: string
  controls?: PointDoc[]
  indications?: PointDoc[]
}

export interface PackDoc {
  id: string
  revision: string
  title: string
  policy?: Record<string, string>
  equipment?: string[]
  'sub-types'?: { id: string; name: string }[]
  tails: { id: string }[]
  quantities?: { id: string; name: string; unit: string }[]
  stations?: PlaceDoc[]
  panels?: PlaceDoc[]
  tags?: { id: string; title: string; 'hangs-on'?: string }[]
  drawings?: { id: string; title: string }[]
  procedures: ProcedureDoc[]
  waivers?: { rule: string; at: string; reason: string }[]
  /** What is wanted of controls on the runway. */
  takeoff?: States
}

/** Where a step stands: the numbers of its procedure and of itself. */
export interface At {
  p: number
  s: number
}

export type Edit =
  | { type: 'step'; at: At; change: Partial<StepDoc> }
  | { type: 'procedure'; p: number; change: Partial<ProcedureDoc> }
  | { type: 'place'; id: string; change: Partial<PlaceDoc> }
  | { type: 'insert'; at: At; step: StepDoc }
  | { type: 'remove'; at: At }
  | { type: 'move'; at: At; by: 1 | -1 }
  | { type: 'policy'; matter: string; school: string }
  | { type: 'takeoff'; states: States }
  | { type: 'waive'; rule: string; at: string; reason: string }
  | { type: 'unwaive'; rule: string; at: string }

/** Fields that are empty are left out, as in a pack that a person writes. */
const tidy = <T extends object>(fields: T): T =>
  Object.fromEntries(
    Object.entries(fields).filter(
      ([, v]) =>
        v !== undefined &&
        v !== '' &&
        v !== false &&
        !(Array.isArray(v) && v.length === 0) &&
        !(typeof v === 'object' && v !== null && !Array.isArray(v) && Object.keys(v).length === 0),
    ),
  ) as T

const replaced = <T>(list: T[], at: number, by: T): T[] => list.map((x, i) => (i === at ? by : x))

/** The pack after an edit; what the edit does not touch is the same object as before. */
export const edited = (doc: PackDoc, e: Edit): PackDoc => {
  const steps = (p: number, change: (steps: StepDoc[]) => StepDoc[]): PackDoc => {
    const procedure = doc.procedures[p]!
    return { ...doc, procedures: replaced(doc.procedures, p, { ...procedure, steps: change(procedure.steps) }) }
  }
  switch (e.type) {
    case 'step': {
      const was = doc.procedures[e.at.p]!.steps[e.at.s]!
      const now = tidy({
        ...was,
        ...e.change,
        challenge: e.change.challenge ?? was.challenge,
        response: e.change.response ?? was.response,
      })
      const next = steps(e.at.p, (all) =>
        replaced(all, e.at.s, { ...now, challenge: now.challenge ?? '', response: now.response ?? '' }),
      )
      return e.change.id !== undefined && e.change.id !== was.id ? renamed(next, was.id, e.change.id) : next
    }
    case 'procedure':
      return { ...doc, procedures: replaced(doc.procedures, e.p, tidy({ ...doc.procedures[e.p]!, ...e.change })) }
    case 'place': {
      const all = (places?: PlaceDoc[]) => places?.map((p) => (p.id === e.id ? tidy({ ...p, ...e.change }) : p))
      return tidy({ ...doc, stations: all(doc.stations), panels: all(doc.panels) } as PackDoc)
    }
    case 'insert':
      return steps(e.at.p, (all) => [...all.slice(0, e.at.s), e.step, ...all.slice(e.at.s)])
    case 'remove':
      return steps(e.at.p, (all) => all.filter((_, i) => i !== e.at.s))
    case 'move': {
      const { p, s } = moved(doc, e.at, e.by)
      const step = doc.procedures[e.at.p]!.steps[e.at.s]!
      const without = edited(doc, { type: 'remove', at: e.at })
      return edited(without, {
        type: 'insert',
        at: { p, s },
        step: p === e.at.p ? step : owned(doc, e.at.p, p, step),
      })
    }
    case 'policy':
      return { ...doc, policy: { ...doc.policy, [e.matter]: e.school } }
    case 'takeoff':
      return tidy({ ...doc, takeoff: e.states })
    case 'waive':
      return { ...doc, waivers: [...(doc.waivers ?? []), { rule: e.rule, at: e.at, reason: e.reason }] }
    case 'unwaive':
      return tidy({ ...doc, waivers: (doc.waivers ?? []).filter((w) => w.rule !== e.rule || w.at !== e.at) })
  }
}

/** Where a step comes to stand when it goes one up or down; at the end of a procedure it goes into the next. */
export const moved = (doc: PackDoc, { p, s }: At, by: 1 | -1): At => {
  const length = doc.procedures[p]!.steps.length
  if (s + by >= 0 && s + by < length) return { p, s: s + by }
  const other = doc.procedures[p + by]
  if (!other || length === 1) return { p, s }
  return by > 0 ? { p: p + 1, s: 0 } : { p: p - 1, s: other.steps.length }
}

/** A step keeps its owner in a procedure that has another. */
const owned = (doc: PackDoc, from: number, to: number, step: StepDoc): StepDoc => {
  const was = step.owner ?? doc.procedures[from]!.owner
  const now = doc.procedures[to]!.owner
  return tidy({ ...step, owner: was === now ? undefined : was } as StepDoc)
}

/** A step under another name, wherever it is named. */
const renamed = (doc: PackDoc, from: string, to: string): PackDoc => {
  const names = (list?: string[]) => list?.map((n) => (n === from ? to : n))
  return {
    ...doc,
    procedures: doc.procedures.map((p) => ({
      ...p,
      steps: p.steps.map((s) =>
        s.needs?.includes(from) || s['after-wait']?.includes(from)
          ? tidy({ ...s, needs: names(s.needs), 'after-wait': names(s['after-wait']) } as StepDoc)
          : s,
      ),
    })),
    ...(doc.waivers && { waivers: doc.waivers.map((w) => (w.at === from ? { ...w, at: to } : w)) }),
  }
}

/**
 * What is typed into a field for numbers; what is none stays as it was typed, so that the check says what is wrong
 * with it.
 */
export const number = (text: string): number =>
  Number.isFinite(Number(text)) ? Number(text) : (text as unknown as number)

/** A name no other step has. */
export const freshId = (doc: PackDoc, like: string): string => {
  const taken = new Set(doc.procedures.flatMap((p) => p.steps.map((s) => s.id)))
  const stem = like.replace(/-\d+$/, '').slice(0, 50)
  for (let n = 2; ; n++) if (!taken.has(`${stem}-${n}`)) return `${stem}-${n}`
}

export const places = (doc: PackDoc): PlaceDoc[] => [...(doc.stations ?? []), ...(doc.panels ?? [])]

export const points = (doc: PackDoc): (PointDoc & { control: boolean; place: string })[] =>
  places(doc).flatMap((p) => [
    ...(p.controls ?? []).map((c) => ({ ...c, control: true, place: p.name })),
    ...(p.indications ?? []).map((c) => ({ ...c, control: false, place: p.name })),
  ])

/** Where a step of that name stands. */
export const find = (doc: PackDoc, id: string): At | undefined => {
  for (const [p, procedure] of doc.procedures.entries()) {
    const s = procedure.steps.findIndex((x) => x.id === id)
    if (s >= 0) return { p, s }
  }
  return undefined
}

/** What can be undone and done again. */
export interface History {
  past: PackDoc[]
  now: PackDoc
  future: PackDoc[]
  /** What kind of edit came last, so that typing in one field is one thing to undo. */
  last: string
}

export type HistoryEvent =
  { type: 'edit'; edit: Edit } | { type: 'undo' } | { type: 'redo' } | { type: 'saved'; doc: PackDoc }

const MOST_UNDONE = 500

export const reduceHistory = (h: History, e: HistoryEvent): History => {
  switch (e.type) {
    case 'edit': {
      const now = edited(h.now, e.edit)
      const last = e.edit.type === 'step' ? `${e.edit.at.p}/${e.edit.at.s}/${Object.keys(e.edit.change).join()}` : ''
      const typing = last !== '' && last === h.last
      return { past: typing ? h.past : [...h.past, h.now].slice(-MOST_UNDONE), now, future: [], last }
    }
    case 'undo': {
      const before = h.past.at(-1)
      return before ? { past: h.past.slice(0, -1), now: before, future: [h.now, ...h.future], last: '' } : h
    }
    case 'redo': {
      const after = h.future[0]
      return after ? { past: [...h.past, h.now], now: after, future: h.future.slice(1), last: '' } : h
    }
    case 'saved':
      return { ...h, now: e.doc, last: '' }
  }
}
