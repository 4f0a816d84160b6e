import type { CardView, GateView, ItemView, StepView, WaitView } from '../api.gen'
import { indexOf, lastMark } from './marks'
import { done } from './parts'

type Steps = Record<string, StepView>

/** What was said here of times and closed steps since the server told last. */
export interface SaidOfTimes {
  /** Steps of which anything was said. */
  steps: Set<string>
  /** Steps that somebody has given words to go past what keeps them closed. */
  passed: Set<string>
  /** Times seen over, by their step: the place in the log of that word. */
  seen: Map<string, number>
}

const lastNumber = (step: StepView | undefined): number => lastMark(step?.marks)?.number ?? 0

const settled = (card: CardView, item: ItemView, step: StepView | undefined): boolean =>
  done(card, item, step) || (step?.marks ?? []).some((m) => m.outcome === 'find' || m.outcome === 'not-today')

/** The time that a step has begun, where it has. */
const begun = (card: CardView, item: ItemView, steps: Steps): WaitView | undefined => {
  const mark = item.waits && lastMark(steps[item.id]?.marks)
  if (!item.waits || !mark || !done(card, item, steps[item.id])) return undefined
  const until = new Date(Date.parse(mark.at) + item.waits.seconds * 1000).toISOString()
  return { step: item.id, tag: '', words: `${item.challenge}: ${item.waits.words}`, since: mark.at, until }
}

/** The steps that a time is for. */
export const waitedFor = (card: CardView, step: string): ItemView[] =>
  indexOf(card).gated.filter((i) => i.afterWait.includes(step))

/** Whether all that waited for it was done since, without going past it. */
const used = (card: CardView, step: string, steps: Steps, said: SaidOfTimes): boolean => {
  const since = lastNumber(steps[step])
  const after = waitedFor(card, step)
  return (
    after.length > 0 &&
    after.every((i) => settled(card, i, steps[i.id]) && lastNumber(steps[i.id]) > since && !said.passed.has(i.id))
  )
}

/**
 * The times that run, with those that steps have begun here: a time counts from the press, not from when the
 * server hears of it. The core's rule (Departure.waits), written again for a device that nobody answers.
 */
export const waitsAfter = (card: CardView, told: WaitView[], steps: Steps, said: SaidOfTimes): WaitView[] => {
  const ofSteps = indexOf(card).items.flatMap((item) => {
    const now = begun(card, item, steps)
    const wait = now && (told.find((w) => w.step === item.id && w.since === now.since) ?? now)
    const step = steps[item.id]
    const seen = Math.max(said.seen.get(item.id) ?? -1, step?.waitSeen ?? -1) > lastNumber(step)
    return wait && !seen && !used(card, item.id, steps, said) ? [wait] : []
  })
  return [...ofSteps, ...told.filter((w) => w.step === '')]
}

const first = (item: ItemView, waits: boolean): GateView => ({
  words: `Before it comes ${item.challenge}: ${item.response}.`,
  before: item.id,
  waits,
  ofStage: false,
})

/** What keeps steps closed, where it rests on what was said here. The core's rule (Gates.of), written again. */
export const gatesAfter = (
  card: CardView,
  told: Record<string, GateView[]>,
  steps: Steps,
  said: SaidOfTimes,
): Record<string, GateView[]> => {
  const { byId, gated, partOf } = indexOf(card)
  // What closes a stage is told with each of its open steps.
  const ofStage = (id: string): GateView[] => {
    const stage = partOf.get(id)?.stage
    const others = card.parts.filter((p) => p.stage === stage).flatMap((p) => p.items)
    return (others.map((i) => told[i.id]).find((g) => g?.some((x) => x.ofStage)) ?? []).filter((g) => g.ofStage)
  }
  const gates = { ...told }
  for (const id of said.passed) if (byId.has(id)) gates[id] = []
  for (const item of gated) {
    // Of a step that is taken back the server has told nothing: while it was done, nothing kept it closed.
    const here = (ids: string[]): ItemView[] =>
      ids.filter((id) => said.steps.has(id) || said.steps.has(item.id)).flatMap((id) => byId.get(id) ?? [])
    const needs = here(item.needs)
    const waits = here(item.afterWait)
    if (!said.passed.has(item.id) && needs.length + waits.length > 0) {
      const again = new Set([...needs, ...waits].map((i) => i.id))
      gates[item.id] = [
        ...(told[item.id] ?? ofStage(item.id)).filter((g) => g.ofStage || !again.has(g.before)),
        ...needs.filter((i) => !done(card, i, steps[i.id])).map((i) => first(i, false)),
        ...waits.flatMap((i) => {
          const wait = begun(card, i, steps)
          if (wait)
            return [
              {
                words: `Wait: ${i.challenge}, ${i.waits!.words}`,
                before: i.id,
                waits: true,
                ofStage: false,
                until: wait.until,
              },
            ]
          return settled(card, i, steps[i.id]) ? [] : [first(i, i.waits !== undefined)]
        }),
      ]
    }
  }
  return gates
}
