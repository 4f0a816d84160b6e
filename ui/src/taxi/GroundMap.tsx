import type { GroundPlanView, WayView } from '../api.gen'
import classes from './GroundMap.module.css'

interface GroundMapProps {
  plan: GroundPlanView
  way: WayView | undefined
  /** Where one is, east and north. */
  here: number[] | undefined
}

/** Shorter than this share of the plan a taxiway has no room for its name; its holding point tells it. */
const ROOM = 0.07

/** The ground of the airfield, north up, with the way on it. */
export const GroundMap = ({ plan, way, here }: GroundMapProps) => {
  const all = [...plan.spots.map((s) => [s.east, s.north]), ...plan.strips.flatMap((s) => [s.from, s.to])]
  const east = all.map((p) => p[0]!)
  const north = all.map((p) => p[1]!)
  const margin = 120
  const left = Math.min(...east) - margin
  const top = -Math.max(...north) - margin
  const width = Math.max(...east) + margin - left
  const height = -Math.min(...north) + margin - top
  // Letters keep their size on the screen, however large the airfield.
  const unit = Math.max(width, height * 1.15) / 100
  const points = (line: number[][]) => line.map((p) => `${p[0]},${-p[1]!}`).join(' ')
  const named = plan.spots.filter((s) => s.kind === 'holding' || s.kind === 'hot-spot' || s.kind === 'obstacle')
  return (
    <figure className={classes.map}>
      <svg
        viewBox={`${left} ${top} ${width} ${height}`}
        role="img"
        aria-label={`Plan of the ground${way ? ', ' + way.words : ''}`}
        style={{ fontSize: unit * 3 }}
      >
        {plan.lanes
          .filter((l) => !l.onRunway)
          .map((l) => (
            <polyline
              key={l.name}
              className={l.apron ? classes.apron : classes.lane}
              points={points(l.along)}
              strokeWidth={Math.max(l.widthM, unit * 0.9)}
            />
          ))}
        {plan.strips.map((s) => (
          <g key={s.name}>
            <polyline
              className={classes.strip}
              points={points([s.from, s.to])}
              strokeWidth={Math.max(s.widthM, unit * 1.8)}
            />
            {s.ends.map((e, n) => {
              const [at, to] = n === 0 ? [s.from, s.to] : [s.to, s.from]
              const far = Math.hypot(at[0]! - to[0]!, at[1]! - to[1]!)
              const out = (unit * 3.4) / far
              return (
                <text
                  key={e}
                  className={classes.end}
                  x={at[0]! + (at[0]! - to[0]!) * out}
                  y={-(at[1]! + (at[1]! - to[1]!) * out)}
                >
                  {e}
                </text>
              )
            })}
          </g>
        ))}
        {plan.lanes.flatMap((l) =>
          l.bridges.map((b, n) => (
            <polyline key={`${l.name}${n}`} className={classes.bridge} points={points(b)} strokeWidth={unit * 2.2} />
          )),
        )}
        {way && <polyline className={classes.way} points={points(way.line)} strokeWidth={unit * 0.9} />}
        {here && <circle className={classes.here} cx={here[0]} cy={-here[1]!} r={unit * 1.6} />}
        {plan.spots
          .filter((s) => s.kind === 'stand')
          .map((s) => (
            <text key={s.name} className={classes.stand} x={s.east} y={-s.north}>
              {s.name}
            </text>
          ))}
        {plan.lanes
          .filter((l) => !l.apron && !l.onRunway && length(longest(l.along)) > ROOM * width)
          .map((l) => {
            const [a, b] = longest(l.along)
            return (
              <text key={l.name} className={classes.name} x={(a![0]! + b![0]!) / 2} y={-(a![1]! + b![1]!) / 2}>
                {l.name}
              </text>
            )
          })}
        {named.map((s) => (
          <g key={s.name} data-kind={s.kind} className={classes.spot}>
            <circle cx={s.east} cy={-s.north} r={unit * (s.kind === 'holding' ? 0.7 : 1.3)} />
            <text
              x={s.east + unit * (s.kind === 'hot-spot' ? -1.6 : 1.5)}
              y={-s.north - unit * (s.kind === 'hot-spot' ? 2.4 : 1.2)}
            >
              {s.kind === 'obstacle' ? '' : s.name}
            </text>
          </g>
        ))}
      </svg>
      <figcaption>North up. Drawn from the fleet's airfield file.</figcaption>
    </figure>
  )
}

const length = ([a, b]: number[][]) => Math.hypot(a![0]! - b![0]!, a![1]! - b![1]!)

/** The longest stretch of a taxiway, where its name has room. */
const longest = (along: number[][]): number[][] => {
  let best = along.slice(0, 2)
  for (let i = 1; i < along.length; i++) {
    const now = along.slice(i - 1, i + 1)
    if (length(now) > length(best)) best = now
  }
  return best
}
