import type { GateView, Progress } from '../api.gen'
import { serverNow } from '../app/clock'

/**
 * What keeps a step closed now. @param also steps that are said with it; a time that one of them begins has not
 * passed yet
 */
export const closedBy = (progress: Progress, step: string, also: ReadonlySet<string> = new Set()): GateView[] =>
  (progress.gates[step] ?? []).filter((g) =>
    g.until
      ? Date.parse(g.until) > serverNow()
      : g.waits || !(g.before && (progress.steps[g.before]?.settled || also.has(g.before))),
  )
