import { expect, it } from 'vitest'
import type { DepartureView, Progress, TagView } from '../api.gen'
import type { Outgoing } from './outbox'
import { withUnsent } from './overlay'
import written from './unsent.cases.json'

interface Cases {
  card: NonNullable<DepartureView['card']>
  told: Progress
  /** What was said, and what the server makes of it: what changed, null for what is gone. */
  said: (Pick<Outgoing, 'id' | 'deviceAt' | 'kind' | 'body'> & {
    steps: Record<string, string[]>
    tags: object
    closed: object
    waits: object
  })[]
}

/** How long a slow machine may take. */
const PATIENCE_MS = 60_000

const WREN = { name: 'Adeyo', seat: 'right' } as const
const cases = written as unknown as Cases

/** Written by the server's tests from its own rules: here it is the judge of what a device works out without it. */
it(
  'makes of steps and tags what the server makes of them, after each of many words in random order',
  () => {
    const view = {
      card: cases.card,
      progress: { ...cases.told, seats: [] },
    } as unknown as DepartureView
    const seats = new Map(cases.card.parts.flatMap((p) => p.items).map((i) => [i.id, i.seats]))
    const [first] = cases.told.tags
    const readings = new Set(cases.said.filter((s) => s.kind === 'measured').map((s) => `find/${s.id}`))
    // The words of a reading's judgement are the server's.
    const serverOnly = (tag: string, key: string) => key === 'detail' && readings.has(tag)
    const asTold = (tags: object[]) =>
      Object.fromEntries(
        (tags as TagView[]).map((t) => [
          t.key,
          Object.fromEntries(Object.entries(t).filter(([k]) => k in first! && !serverOnly(t.key, k))),
        ]),
      )
    const ofSteps = (t: { key: string; open: unknown[] }) =>
      t.open.length > 0 || /^(find|look-again|wait)[/]/.test(t.key)
    const items = cases.card.parts.flatMap((p) => p.items)
    /** What keeps open steps closed, of what rests on other steps. */
    const closedOf = ({ gates, steps }: Progress) =>
      Object.fromEntries(
        items
          .filter((i) => !steps[i.id]?.settled)
          .map(
            (i) =>
              [
                i.id,
                (gates[i.id] ?? [])
                  .filter((g) => !g.ofStage)
                  .map((g) => g.before + (g.until ? ' running' : g.waits ? ' and its time' : ''))
                  .sort(),
              ] as const,
          )
          .filter(([, g]) => g.length > 0),
      )
    const runningOf = ({ waits }: Progress) =>
      Object.fromEntries(waits.map((w) => [w.step, (Date.parse(w.until) - Date.parse(w.since)) / 1000]))
    const moved = (before: object, by: object): Record<string, unknown> =>
      Object.fromEntries(Object.entries({ ...before, ...by }).filter(([, t]) => t !== null))
    const stands: Record<string, string[]> = {}
    let hangs: Record<string, unknown> = asTold(cases.told.tags.filter(ofSteps))
    let closed: Record<string, unknown> = closedOf(view.progress)
    let running: Record<string, unknown> = runningOf(view.progress)
    const waiting: Outgoing[] = []
    cases.said.forEach((said, n) => {
      const word = `word ${n + 1}, ${said.kind} ${said.body.step}`
      waiting.push({ id: said.id, device: 'd', deviceAt: said.deviceAt, kind: said.kind, body: said.body, label: '' })
      Object.assign(stands, said.steps)
      hangs = moved(hangs, said.tags)
      closed = moved(closed, said.closed)
      running = moved(running, said.waits)
      const progress = withUnsent(view, waiting, [], WREN).progress
      // One word more than before, or all of them at once: it comes to the same.
      if (n % 40 === 0)
        expect(withUnsent({ ...view, progress: { ...view.progress } }, waiting, [], WREN).progress).toEqual(progress)
      const { steps, tags } = progress
      const here = Object.fromEntries(
        Object.keys(stands).map((id) => [
          id,
          steps[id]?.settled
            ? [steps[id].marks.some((m) => m.outcome === 'find') ? 'find' : 'settled']
            : (steps[id]?.owes ?? seats.get(id)!),
        ]),
      )
      expect(here, `steps after ${word}`).toEqual(stands)
      expect(asTold(tags.filter(ofSteps)), `tags after ${word}`).toEqual(hangs)
      expect(closedOf(progress), `what is closed after ${word}`).toEqual(closed)
      expect(runningOf(progress), `times after ${word}`).toEqual(running)
    })
  },
  PATIENCE_MS,
)
