import type { Progress, ProgressChange } from '../api.gen'

interface ListChange {
  order?: string[]
  changed: Record<string, unknown>
}

interface MapChange {
  gone: string[]
  changed: Record<string, unknown>
}

/** By which key a member of a list is known. */
const KEYS: Record<string, string> = {
  beads: 'stage',
  tags: 'key',
  unfinished: 'key',
  seats: 'seat',
  finds: 'id',
  briefing: 'step',
}

const MAPS = ['steps', 'parts', 'gates', 'values', 'allowed', 'figures']

const intoList = (before: Record<string, unknown>[], { order, changed }: ListChange, key: string): unknown[] => {
  const known = new Map(before.map((m) => [String(m[key]), m as unknown]))
  for (const [k, m] of Object.entries(changed)) known.set(k, m)
  return (order ?? before.map((m) => String(m[key]))).map((k) => known.get(k))
}

const intoMap = (before: Record<string, unknown>, { gone, changed }: MapChange): Record<string, unknown> => {
  const after = { ...before, ...changed }
  for (const key of gone) delete after[key]
  return after
}

/**
 * The progress that a change comes to. What did not change is the same object as before, so that nothing of it is
 * drawn again; undefined where the change does not start from this progress, and the whole has to be asked for.
 */
export const changed = (before: Progress, { from, ...change }: ProgressChange): Progress | undefined => {
  if (from !== before.number) return undefined
  const after: Record<string, unknown> = { ...before }
  for (const [section, now] of Object.entries(change)) {
    const was = after[section]
    const key = KEYS[section]
    if (key) after[section] = intoList(was as Record<string, unknown>[], now as ListChange, key)
    else after[section] = MAPS.includes(section) ? intoMap(was as Record<string, unknown>, now as MapChange) : now
  }
  return after as unknown as Progress
}
