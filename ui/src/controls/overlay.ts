import type { AxisView, RecordingView, SurfaceView } from '../api.gen'
import { controlOf } from './playback'

/** From here on a control is away from its middle, per cent. */
const AWAY_PCT = 20

/** One surface of a recording beside the control that moves it. */
export interface Course {
  /** From where its control was first moved away; where it never was, from the first sample. */
  seconds: number[]
  control: number[]
  deg: (number | null)[]
}

/** How a surface went, counted from when its own control was first moved: two are laid over each other there. */
export const courseOf = (recording: RecordingView, axis: AxisView, surface: SurfaceView): Course => {
  const columns = new Map(recording.channels.map((c, i) => [c, i + 1]))
  const at = (row: readonly (number | null)[], channel: string) => row[columns.get(channel) ?? -1] ?? null
  const control = recording.values.map((row) => controlOf(columns, axis.axis, (name) => at(row, name) ?? 0))
  const first = control.findIndex((pct) => Math.abs(pct) >= AWAY_PCT)
  const begun = recording.values[Math.max(0, first)]?.[0] ?? 0
  return {
    seconds: recording.values.map((row) => (row[0] ?? 0) - begun),
    control,
    deg: recording.values.map((row) => at(row, surface.channel)),
  }
}

/** One criterion of both, for those who read: the number of each, where it has one. */
export interface Beside {
  key: string
  words: string
  unit: string
  limit: number
  measured: (number | undefined)[]
  wrong: boolean[]
}

/** Every criterion of a subject in any of the recordings, in the order of the first. */
export const beside = (recordings: readonly RecordingView[], subject: string): Beside[] => {
  const rows = new Map<string, Beside>()
  recordings.forEach((r, n) =>
    r.judgement.findings
      .filter((f) => f.subject === subject && f.unit !== '')
      .forEach((f) => {
        // Both ways of a surface have a number of their own.
        const key = `${f.criterion}/${f.movement}/${f.axis ?? ''}/${f.measured < 0}/${f.limit < 0}`
        const row = rows.get(key) ?? {
          key,
          words: f.criterion.replaceAll('-', ' ') + (f.movement > 0 ? `, movement ${f.movement}` : ''),
          unit: f.unit,
          limit: f.limit,
          measured: recordings.map(() => undefined),
          wrong: recordings.map(() => false),
        }
        row.measured[n] = f.measured
        row.wrong[n] ||= f.outcome === 'not-as-it-should-be'
        rows.set(key, row)
      }),
  )
  return [...rows.values()]
}
