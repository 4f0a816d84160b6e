import type { AxisView } from '../api.gen'
import classes from './AxisPlot.module.css'

interface AxisPlotProps {
  axis: AxisView
  /** Column of this axis' input in a sample. */
  input: number
  values: readonly number[][]
  failed: boolean
}

const DASHES = ['', '5 3', '1.500 3', '9 3 1.500 3']

/** Without a minus before nothing. */
const degrees = (v: number) => (Math.round(v * 10) / 10 + 0).toFixed(1)

/**
 * Travel against input, our own drawing: a surface that follows draws one slanting line through the middle, one that
 * lags a thin loop, one that is short a flat end, a reversed one the other slant.
 */
export const AxisPlot = ({ axis, input, values, failed }: AxisPlotProps) => {
  const last = values.at(-1)
  // The surface's own travel on the upright scale: 100 is its full deflection, whichever way it went.
  const y = (v: number, least: number, most: number) => -(v / Math.max(Math.abs(least), most)) * 100
  return (
    <figure className={classes.plot} data-failed={failed || undefined}>
      <figcaption className={classes.title}>
        {axis.name}
        <span>{last ? `${Math.round(last[input] ?? 0)} %` : ''}</span>
      </figcaption>
      <svg viewBox="-112 -112 224 224" role="img" aria-label={`${axis.name}: surface travel against control input`}>
        <path d="M-100 0H100M0-100V100" className={classes.middle} />
        <path d="M-100-100v200M100-100v200" className={classes.stop} />
        {axis.channels.map((c, n) => (
          <polyline
            key={c.column}
            className={classes.trace}
            strokeDasharray={DASHES[n % DASHES.length]}
            points={values
              .map((v) => `${(v[input] ?? 0).toFixed(1)},${y(v[c.column] ?? 0, c.least, c.most).toFixed(1)}`)
              .join(' ')}
          />
        ))}
        {last &&
          axis.channels.map((c) => (
            <circle
              key={c.column}
              cx={last[input]}
              cy={y(last[c.column] ?? 0, c.least, c.most)}
              r={5}
              className={classes.now}
            />
          ))}
      </svg>
      <p className={classes.ends}>
        <span>{axis.negative}</span>
        <span>{axis.positive}</span>
      </p>
      <ul className={classes.legend}>
        {axis.channels.map((c, n) => (
          <li key={c.column}>
            <svg viewBox="0 0 30 6" width="30" height="6" aria-hidden="true">
              <path d="M0 3h30" className={classes.trace} strokeDasharray={DASHES[n % DASHES.length]} />
            </svg>
            {c.name}
            <span>{last ? `${degrees(last[c.column] ?? 0)}°` : `${c.least}° to ${c.most}°`}</span>
          </li>
        ))}
      </ul>
    </figure>
  )
}
