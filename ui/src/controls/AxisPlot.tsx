import type { AxisView, SurfaceView } from '../api.gen'
import type { Check } from '../live/samples'
import { controlOf } from './playback'
import classes from './AxisPlot.module.css'

interface AxisPlotProps {
  axis: AxisView
  check: Check
  failed: boolean
}

const DASHES = ['', '5 3', '1.500 3', '9 3 1.500 3']

/** Without a minus before nothing. */
const degrees = (v: number) => (Math.round(v * 10) / 10 + 0).toFixed(1)

/**
 * Travel against input, our own drawing: a surface that follows draws one slanting line through the middle, one that
 * lags a thin loop, one that is short a flat end, a reversed one the other slant.
 */
export const AxisPlot = ({ axis, check, failed }: AxisPlotProps) => {
  const columns = new Map(check.channels.map((c, i) => [c, i + 1]))
  const last = check.rows.at(-1)
  const at = (row: readonly (number | null)[], channel: string) => row[columns.get(channel) ?? -1] ?? null
  const control = (row: readonly (number | null)[]) => controlOf(columns, axis.axis, (name) => at(row, name) ?? 0)
  const most = (s: SurfaceView) => Math.max(Math.abs(s.positiveDeg), Math.abs(s.negativeDeg))
  // The surface's own travel on the upright scale: 100 is its full deflection, whichever way it went.
  const y = (deg: number, s: SurfaceView) => -(deg / most(s)) * 100
  const now = (s: SurfaceView) => (last ? at(last, s.channel) : null)
  return (
    <figure className={classes.plot} data-failed={failed || undefined}>
      <figcaption className={classes.title}>{axis.name}</figcaption>
      <svg viewBox="-112 -112 224 224" role="img" aria-label={`${axis.name}: surface travel against control input`}>
        <path d="M-100 0H100M0-100V100" className={classes.middle} />
        <path d="M-100-100v200M100-100v200" className={classes.stop} />
        {axis.surfaces.map((s, n) => (
          <polyline
            key={s.channel}
            className={classes.trace}
            strokeDasharray={DASHES[n % DASHES.length]}
            points={check.rows
              .flatMap((row) => {
                const deg = at(row, s.channel)
                return deg === null ? [] : [`${control(row).toFixed(1)},${y(deg, s).toFixed(1)}`]
              })
              .join(' ')}
          />
        ))}
      </svg>
      <p className={classes.ends}>
        <span>{axis.negative}</span>
        <span>{axis.positive}</span>
      </p>
      <ul className={classes.legend}>
        {axis.surfaces.map((s, n) => (
          <li key={s.channel}>
            <svg viewBox="0 0 30 6" width="30" height="6" aria-hidden="true">
              <path d="M0 3h30" className={classes.trace} strokeDasharray={DASHES[n % DASHES.length]} />
            </svg>
            {s.name}
            <span>{now(s) === null ? '' : `rests at ${degrees(now(s)!)}°`}</span>
          </li>
        ))}
      </ul>
    </figure>
  )
}
