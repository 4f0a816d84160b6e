import { expect, it } from 'vitest'
import type { DepartureView, TagView } from '../api.gen'
import type { Outgoing } from './outbox'
import { withUnsent } from './overlay'
import cases from './unsent.cases.json'

/** Written by the server's tests from its own rules: here it is the judge of what a device works out without it. */
it('makes of steps and tags what the server makes of them, after each of many words in random order', () => {
  const view = {
    card: cases.card,
    progress: { ...cases.told, seats: [], waits: [], gates: {} },
  } as unknown as DepartureView
  const seats = new Map(cases.card.parts.flatMap((p) => p.items).map((i) => [i.id, i.seats]))
  const [first] = cases.told.tags
  const asTold = (tags: object[]) => Object.fromEntries(tags.map((t) => [(t as TagView).key, Object.fromEntries(Object.entries(t).filter(([k]) => k in first!))]))
  const ofSteps = (t: { open: unknown[] }) => t.open.length > 0
  const stands: Record<string, string[]> = {}
  let hangs: Record<string, unknown> = asTold(cases.told.tags.filter(ofSteps))
  const waiting: Outgoing[] = []
  cases.said.forEach((said, n) => {
    const word = `word ${n + 1}, ${said.kind} ${said.body.step}`
    waiting.push({ id: String(n), device: 'd', deviceAt: '2027-01-14T07:30:00Z', kind: said.kind, body: said.body, label: '' })
    Object.assign(stands, said.steps)
    hangs = Object.fromEntries(Object.entries({ ...hangs, ...said.tags }).filter(([, t]) => t !== null))
    const { steps, tags } = withUnsent(view, waiting, [], { name: 'Adeyo', seat: 'right' })
    const here = Object.fromEntries(Object.keys(stands).map((id) => [id, steps[id]?.settled ? [steps[id].marks.some((m) => m.outcome === 'find') ? 'find' : 'settled'] : (steps[id]?.owes ?? seats.get(id)!)]))
    expect(here, `steps after ${word}`).toEqual(stands)
    expect(asTold(tags.filter(ofSteps)), `tags after ${word}`).toEqual(hangs)
  })
})
