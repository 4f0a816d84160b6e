import { describe, expect, it } from 'vitest'
import type { DepartureView, ItemView, Progress, TagView } from '../api.gen'
import { indexOf } from './marks'
import type { Outgoing } from './outboxState'
import { type Who, withUnsent } from './overlay'
import written from './unsent.cases.json'

type Card = NonNullable<DepartureView['card']>

interface Case {
  who: Who
  seed: number
  resuming: DepartureView['header']['resuming']
  card: Card
  told: Progress
  /** What was said, and what the server makes of it: what changed, null for what is gone. */
  said: (Pick<Outgoing, 'id' | 'deviceAt' | 'kind' | 'body'> &
    Record<'steps' | 'tags' | 'closed' | 'waits' | 'checklists', object> & {
      /** Whether a word up to here has made a checklist's answer untrue, of which the server alone knows. */
      untrue: boolean
    })[]
}

/** How long a slow machine may take. */
const PATIENCE_MS = 60_000

/** Those that stand beside this, or, for a build that says new ones, in a file it names. */
const given: string | undefined = import.meta.env.VITE_UNSENT_CASES
const cases = (given ? (await import(/* @vite-ignore */ given)).default : written) as unknown as Case[]

const moved = (before: object, by: object): Record<string, unknown> =>
  Object.fromEntries(Object.entries({ ...before, ...by }).filter(([, t]) => t !== null))

const standingOf = (items: ItemView[], { steps }: Progress) =>
  Object.fromEntries(
    items.map((i) => {
      const step = steps[i.id]
      const found = step?.marks.some((m) => m.outcome === 'find')
      return [i.id, step?.settled ? [found ? 'find' : 'settled'] : (step?.owes ?? i.seats)]
    }),
  )

/** What keeps open steps closed, of what rests on other steps. */
const closedOf = (items: ItemView[], { gates, steps }: Progress) =>
  Object.fromEntries(
    items
      .filter((i) => !steps[i.id]?.settled)
      .map((i) => {
        const own = (gates[i.id] ?? []).filter((g) => !g.ofStage)
        const words = own.map((g) => g.before + (g.until ? ' running' : g.waits ? ' and its time' : ''))
        return [i.id, words.sort()] as const
      })
      .filter(([, g]) => g.length > 0),
  )

const runningOf = ({ waits }: Progress) =>
  Object.fromEntries(waits.map((w) => [w.step, (Date.parse(w.until) - Date.parse(w.since)) / 1000]))

const checklistsAlone = (card: Card): Card => ({
  ...card,
  parts: card.parts.filter((p) => p.kind === 'checklist'),
})

const checklistsOf = (card: Card, { parts }: Progress) =>
  Object.fromEntries(
    checklistsAlone(card).parts.map(({ id }) => [
      id,
      `${parts[id]?.done} of ${parts[id]?.all}, next ${parts[id]?.next}, stopped by '${parts[id]?.stopped}'`,
    ]),
  )

/** Written by the server's tests from its own rules: here it is the judge of what a device works out without it. */
describe.each(cases)('the words of seed $seed, said by $who.id', ({ who, resuming, card, told, said }) => {
  const fields = new Set(told.tags.flatMap((t) => Object.keys(t)))
  const readings = new Set(said.filter((s) => s.kind === 'measured').map((s) => `find/${s.id}`))
  const hangingOf = ({ tags }: Progress) =>
    Object.fromEntries(
      tags
        .filter((t) => t.open.length > 0 || /^(find|look-again|wait)[/]/.test(t.key))
        .map((t) => [
          t.key,
          Object.fromEntries(
            // The words of a reading's judgement are the server's.
            Object.entries(t).filter(
              ([k]) => fields.has(k as keyof TagView) && !(k === 'detail' && readings.has(t.key)),
            ),
          ),
        ]),
    )

  it(
    'make of steps, tags, gates, times and checklists what the server makes of them, after each',
    () => {
      const view = { header: { resuming }, card, progress: { ...told, seats: [] } } as unknown as DepartureView
      // Of a stopped checklist nobody is asked anything.
      const items = card.parts.filter((p) => !told.parts[p.id]?.stopped).flatMap((p) => p.items)
      let stands: object = standingOf(items, told)
      let hangs: object = hangingOf(told)
      let closed: object = closedOf(items, told)
      let running: object = runningOf(told)
      let checklists: object = checklistsOf(card, told)
      const waiting: Outgoing[] = []
      said.forEach((s, n) => {
        const word = `word ${n + 1}, ${s.kind} ${String(s.body.step ?? s.body.panel ?? s.body.checklist)}`
        waiting.push({ id: s.id, device: 'd', deviceAt: s.deviceAt, kind: s.kind, body: s.body, label: '' })
        stands = moved(stands, s.steps)
        hangs = moved(hangs, s.tags)
        closed = moved(closed, s.closed)
        running = moved(running, s.waits)
        checklists = moved(checklists, s.checklists)
        const after = withUnsent(view, waiting, [], who).view
        // One word more than before, or all of them at once: it comes to the same.
        if (n % 40 === 0)
          expect(withUnsent({ ...view, progress: { ...view.progress } }, waiting, [], who).view).toEqual(after)
        // What a new card has no more is gone only once the server tells of it.
        const now = indexOf(after.card!).items.filter((i) => i.id in stands)
        const answers = new Set(s.untrue ? indexOf(checklistsAlone(card)).items.map((i) => i.id) : [])
        const but = (all: object) => Object.fromEntries(Object.entries(all).filter(([id]) => !answers.has(id)))
        expect(but(standingOf(now, after.progress)), `steps after ${word}`).toEqual(but(stands))
        expect(hangingOf(after.progress), `tags after ${word}`).toEqual(hangs)
        expect(but(closedOf(now, after.progress)), `what is closed after ${word}`).toEqual(but(closed))
        expect(runningOf(after.progress), `times after ${word}`).toEqual(running)
        if (!s.untrue)
          expect(checklistsOf(after.card!, after.progress), `checklists after ${word}`).toEqual(checklists)
      })
    },
    PATIENCE_MS,
  )
})
