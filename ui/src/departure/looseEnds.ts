import type { DepartureView, StepView, TagView } from '../api.gen'

/** A find that hangs from words said here. */
export interface RaisedHere {
  id: string
  step: string
  note: string
  at: string
  /** Whether a reading made it: another reading, or taking it back, takes it away. */
  measured: boolean
}

/** What was said here of steps since the server told last, in order. */
export interface SaidHere {
  by: string
  steps: Set<string>
  /** Steps that were read again, or whose reading was taken back. */
  reread: Set<string>
  raised: RaisedHere[]
}

/** A tag of each kind that hangs on it: there is one, where a pack does not declare more. */
const hung = ({ card, progress }: DepartureView, hangsOn: string, subject: string, step: string, what: { detail: string; by: string; since: string }): TagView[] => {
  const part = card?.parts.find((p) => p.items.some((i) => i.id === step))
  if (!part) return []
  const order = progress.beads.map((b) => b.stage)
  const current = progress.beads.findIndex((b) => b.state === 'current')
  return card!.tags.filter((k) => k.hangsOn === hangsOn).map((k) => {
    // What a checklist holds is due with it.
    const held = hangsOn === 'look-again' && part.kind === 'checklist'
    const stage = held ? part.stage : k.stage
    const inTitle = k.title.includes('{what}')
    return {
      ...what, key: `${k.id}/${subject}`, title: k.title.replace('{open}', '1').replace('{all}', '1').replace('{what}', what.detail), detail: inTitle ? '' : what.detail,
      stage, due: progress.beads.find((b) => b.stage === stage)?.title ?? k.due, late: current > order.indexOf(stage), go: part.stage, steps: [step],
      closes: k.closes, mayStay: k.mayStay, outside: part.kind === 'walkaround', hand: '', open: [], all: 1,
    }
  })
}

/**
 * The tags with what was put aside and found here and is not yet told: they hang as they will when the server has it. The
 * core's rule (LooseEnds), written again for a device that nobody answers; what else hangs, hangs as the server told last.
 *
 * @param after how the steps stand with what was said here
 */
export const looseEndsAfter = (view: DepartureView, tags: TagView[], after: Record<string, StepView>, said: SaidHere): TagView[] => {
  const { card, progress } = view
  if (said.steps.size === 0 || !card) return tags
  const keys = (hangsOn: string, subjects: string[]) => card.tags.filter((k) => k.hangsOn === hangsOn).flatMap((k) => subjects.map((s) => `${k.id}/${s}`))
  const settled = progress.finds.filter((f) => f.measured && f.verdict === '' && said.reread.has(f.step)).map((f) => f.id)
  const gone = new Set([...keys('look-again', [...said.steps]), ...keys('find', settled)])
  const items = new Map(card.parts.flatMap((p) => p.items).map((i) => [i.id, i]))
  const aside = [...said.steps].flatMap((id) => {
    const mark = after[id]?.status === 'later' ? after[id].marks.find((m) => m.outcome === 'later') : undefined
    return mark ? hung(view, 'look-again', id, id, { detail: `${items.get(id)?.challenge}, ${mark.words}`, by: mark.by, since: mark.at }) : []
  })
  const found = said.raised.flatMap((f) => hung(view, 'find', f.id, f.step, { detail: f.note, by: said.by, since: f.at }))
  return [...tags.filter((t) => !gone.has(t.key)), ...aside, ...found]
}
