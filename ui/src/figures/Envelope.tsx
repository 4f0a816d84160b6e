import { useElementSize } from '@mantine/hooks'
import type { EnvelopeView } from '../api.gen'
import classes from './Envelope.module.css'

const LEFT = 34
const RIGHT = 14
const TOP = 10
const HIGH = 128
const TONNE = 1000

/** Weight over the centre of gravity within what is allowed, and the trim in its band. Our own drawing. */
export const Envelope = ({ envelope: e }: { envelope: EnvelopeView }) => {
  const { ref, width } = useElementSize()
  const w = Math.max(220, width)
  const percents = [...e.corners.map((c) => c.percent), e.zeroFuel.percent, e.takeoff.percent]
  const weights = [...e.corners.map((c) => c.kg), e.zeroFuel.kg, e.takeoff.kg]
  const [p0, p1] = [Math.min(...percents) - 1, Math.max(...percents) + 1]
  const [k0, k1] = [Math.min(...weights), Math.max(...weights)]
  const x = (p: number) => LEFT + ((p - p0) / (p1 - p0)) * (w - LEFT - RIGHT)
  const y = (kg: number) => TOP + HIGH - ((kg - k0) / (k1 - k0)) * HIGH
  const at = (p: { percent: number; kg: number }) => `${x(p.percent)},${y(p.kg)}`
  const ticks = [k0, (k0 + k1) / 2, k1]
  const trim = e.trim
  const t = (v: number) => LEFT + ((v - trim!.from) / (trim!.to - trim!.from)) * (w - LEFT - RIGHT)
  const high = TOP + HIGH + (trim ? 70 : 24)
  return (
    <figure className={classes.plot} ref={ref}>
      <figcaption>Weight in tonnes over centre, % of chord</figcaption>
      <svg viewBox={`0 0 ${w} ${high}`} height={high} role="img" aria-label="Weight over centre of gravity">
        <polygon points={e.corners.map(at).join(' ')} className={classes.outline} />
        {e.most.map((l) => (
          <path key={l.words} d={`M${LEFT} ${y(l.kg)}H${w - RIGHT}`} className={classes.most}>
            <title>{l.words}</title>
          </path>
        ))}
        {ticks.map((kg) => (
          <text key={kg} x={LEFT - 6} y={y(kg) + 5} textAnchor="end">
            {(kg / TONNE).toFixed(0)}
          </text>
        ))}
        {[Math.ceil(p0), Math.round((p0 + p1) / 2), Math.floor(p1)].map((p) => (
          <text key={p} x={x(p)} y={TOP + HIGH + 18} textAnchor="middle">
            {p}
          </text>
        ))}
        <path d={`M${at(e.zeroFuel)}L${at(e.takeoff)}`} className={classes.way} />
        <circle cx={x(e.zeroFuel.percent)} cy={y(e.zeroFuel.kg)} r={6} className={classes.empty} />
        <circle cx={x(e.takeoff.percent)} cy={y(e.takeoff.kg)} r={8} className={classes.takeoff} />
        <text x={x(e.zeroFuel.percent) + 12} y={y(e.zeroFuel.kg) + 5} className={classes.told}>
          no fuel{e.told && ` ${e.zeroFuel.percent.toFixed(1)}`}
        </text>
        <text x={x(e.takeoff.percent) + 14} y={y(e.takeoff.kg) + 5} className={classes.told}>
          take-off{e.told && ` ${e.takeoff.percent.toFixed(1)}`}
        </text>
        {trim && (
          <g>
            <path d={`M${LEFT} ${TOP + HIGH + 40}H${w - RIGHT}`} className={classes.scale} />
            <path d={`M${t(trim.least)} ${TOP + HIGH + 40}H${t(trim.most)}`} className={classes.band} />
            <path d={`M${t(trim.setting)} ${TOP + HIGH + 44}l7 12h-14z`} className={classes.set} />
            <text x={t(trim.setting) + 12} y={TOP + HIGH + 62} className={classes.told}>
              trim {trim.setting.toFixed(1)}, {trim.least.toFixed(1)} to {trim.most.toFixed(1)}
            </text>
          </g>
        )}
      </svg>
    </figure>
  )
}
