import type { DepartureView, StepView, TagView, WaitView } from '../api.gen'
import { indexOf, lastMark } from './marks'
import { waitedFor } from './waits'

/** A find that hangs from words said here. */
export interface RaisedHere {
  id: string
  step: string
  note: string
  at: string
  /** Whether a reading made it: another reading, or taking it back, takes it away. */
  measured: boolean
  photos: string[]
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
const hung = (
  { card, progress }: DepartureView,
  hangsOn: string,
  subject: string,
  step: string,
  what: { detail: string; by: string; since: string },
  due?: TagView['stage'],
): TagView[] => {
  const part = card && indexOf(card).partOf.get(step)
  if (!part) return []
  const order = progress.beads.map((b) => b.stage)
  const current = progress.beads.findIndex((b) => b.state === 'current')
  return card.tags
    .filter((k) => k.hangsOn === hangsOn)
    .map((k) => {
      const stage = due ?? k.stage
      const inTitle = k.title.includes('{what}')
      return {
        ...what,
        key: `${k.id}/${subject}`,
        title: k.title.replace('{open}', '1').replace('{all}', '1').replace('{what}', what.detail),
        detail: inTitle ? '' : what.detail,
        stage,
        due: progress.beads.find((b) => b.stage === stage)?.title ?? k.due,
        late: current > order.indexOf(stage),
        go: hangsOn === 'find' ? 'finds' : part.stage,
        steps: [step],
        closes: k.closes,
        mayStay: k.mayStay,
        outside: hangsOn !== 'wait' && part.kind === 'walkaround',
        hand: '',
        open: [],
        all: 1,
      }
    })
}

/** The first stage in which something waits for it; nothing where nothing does. */
const stageWaiting = ({ card, progress }: DepartureView, step: string): TagView['stage'] | undefined => {
  const after = new Set(waitedFor(card!, step).map((i) => i.id))
  const stages = new Set(card!.parts.filter((p) => p.items.some((i) => after.has(i.id))).map((p) => p.stage))
  return progress.beads.find((b) => stages.has(b.stage))?.stage
}

/**
 * The tags with what was put aside, found and begun here and is not yet told: they hang as they will when the
 * server has it. The core's rule (LooseEnds), written again for a device that nobody answers; what else hangs,
 * hangs as the server told last.
 *
 * @param after how the steps stand with what was said here
 * @param waits the times that run with it
 */
export const looseEndsAfter = (
  view: DepartureView,
  tags: TagView[],
  after: Record<string, StepView>,
  waits: WaitView[],
  said: SaidHere,
): TagView[] => {
  const { card, progress } = view
  const over = progress.waits.filter((w) => !waits.some((x) => x.step === w.step)).map((w) => w.step)
  const begun = waits.some((w) => !progress.waits.some((x) => x.step === w.step))
  if ((said.steps.size === 0 && over.length === 0 && !begun) || !card) return tags
  const keys = (hangsOn: string, subjects: string[]) =>
    card.tags.filter((k) => k.hangsOn === hangsOn).flatMap((k) => subjects.map((s) => `${k.id}/${s}`))
  const settled = progress.finds
    .filter((f) => f.measured && f.verdict === '' && said.reread.has(f.step))
    .map((f) => f.id)
  const gone = new Set([
    ...keys('look-again', [...said.steps]),
    ...keys('find', settled),
    ...keys('wait', [...said.steps, ...over]),
  ])
  const aside = [...said.steps].flatMap((id) => {
    const mark = after[id]?.status === 'later' ? after[id].marks.find((m) => m.outcome === 'later') : undefined
    if (!mark) return []
    // What a checklist holds is due with it.
    const part = indexOf(card).partOf.get(id)
    const due = part?.kind === 'checklist' ? part.stage : undefined
    return hung(
      view,
      'look-again',
      id,
      id,
      { detail: `${part?.items.find((i) => i.id === id)?.challenge}, ${mark.words}`, by: mark.by, since: mark.at },
      due,
    )
  })
  const running = waits
    .filter((w) => w.step !== '' && (said.steps.has(w.step) || !progress.waits.some((x) => x.step === w.step)))
    .flatMap((w) => {
      const by = lastMark(after[w.step]?.marks)?.by ?? said.by
      return hung(view, 'wait', w.step, w.step, { detail: w.words, by, since: w.since }, stageWaiting(view, w.step))
    })
  const found = said.raised.flatMap((f) =>
    hung(view, 'find', f.id, f.step, { detail: f.note, by: said.by, since: f.at }),
  )
  return [...tags.filter((t) => !gone.has(t.key)), ...aside, ...found, ...running]
}
