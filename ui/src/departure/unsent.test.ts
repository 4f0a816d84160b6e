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
  const readings = new Set(cases.said.filter((s) => s.kind === 'measured').map((s) => `find/${s.id}`))
  // The words of a reading's judgement are the server's, and so is the view where finds are decided.
  const serverOnly = (tag: string, key: string) => (key === 'detail' && readings.has(tag)) || (key === 'go' && tag.startsWith('find/'))
  const asTold = (tags: object[]) =>
    Object.fromEntries((tags as TagView[]).map((t) => [t.key, Object.fromEntries(Object.entries(t).filter(([k]) => k in first! && !serverOnly(t.key, k)))]))
  const ofSteps = (t: { key: string; open: unknown[] }) => t.open.length > 0 || /^(find|look-again)[/]/.test(t.key)
  const stands: Record<string, string[]> = {}
  let hangs: Record<string, unknown> = asTold(cases.told.tags.filter(ofSteps))
  const waiting: Outgoing[] = []
  cases.said.forEach((said, n) => {
    const word = `word ${n + 1}, ${said.kind} ${said.body.step}`
    waiting.push({ id: said.id, device: 'd', deviceAt: '2027-01-14T07:30:00Z', kind: said.kind, body: said.body, label: '' })
    Object.assign(stands, said.steps)
    hangs = Object.fromEntries(Object.entries({ ...hangs, ...said.tags }).filter(([, t]) => t !== null))
    const { steps, tags } = withUnsent(view, waiting, [], { name: 'Adeyo', seat: 'right' })
    const here = Object.fromEntries(Object.keys(stands).map((id) => [id, steps[id]?.settled ? [steps[id].marks.some((m) => m.outcome === 'find') ? 'find' : 'settled'] : (steps[id]?.owes ?? seats.get(id)!)]))
    expect(here, `steps after ${word}`).toEqual(stands)
    expect(asTold(tags.filter(ofSteps)), `tags after ${word}`).toEqual(hangs)
  })
})
