import type { PlaceView } from '../api.gen'
import { pennantPath } from '../app/Pennant'
import classes from './FlightDeck.module.css'

interface FlightDeckProps {
  places: PlaceView[]
  /** Panels in the order they are scanned; one that is scanned twice stands twice. */
  path: string[]
  /** Where on the path one is; -1 when it is done. */
  at: number
  /** Panels with something open. */
  left: Set<string>
  /** Where the other seats are. */
  others: { seat: string; place: string }[]
  onPlace: (place: string) => void
}

const middle = (p: PlaceView): [number, number] => [p.x + p.width / 2, p.y + p.height / 2]

/** The flight deck as blocks with the scan path over them. */
export const FlightDeck = ({ places, path, at, left, others, onPlace }: FlightDeckProps) => {
  const panels = places.filter((p) => p.width > 0)
  const scanned = path.map((id) => panels.find((p) => p.id === id)).filter((p): p is PlaceView => p !== undefined)
  const right = Math.max(...panels.map((p) => p.x + p.width))
  const bottom = Math.max(...panels.map((p) => p.y + p.height))
  const here = path[at]
  const gone = at < 0 ? scanned : scanned.slice(0, at + 1)
  const line = (of: PlaceView[]) => of.map((p, i) => `${i ? 'L' : 'M'}${middle(p).join(' ')}`).join('')
  const hereName = scanned[at]?.name
  return (
    <figure className={classes.deck}>
      <svg viewBox={`-0.3 -0.3 ${right + 0.6} ${bottom + 0.6}`} role="img" aria-label={`The scan: ${left.size} panels to go${hereName ? `, now ${hereName}` : ''}`}>
        {panels.map((p) => (
          <rect
            onClick={() => path.includes(p.id) && onPlace(p.id)}
            key={p.id} x={p.x} y={p.y} width={p.width} height={p.height} rx={0.2}
            className={p.id === here ? classes.here : path.includes(p.id) ? (left.has(p.id) ? classes.open : classes.closed) : classes.other}
          />
        ))}
        <path d={line(scanned)} className={classes.way} />
        {gone.length > 1 && <path d={line(gone)} className={classes.gone} />}
        {at >= 0 && <circle pointerEvents="none" cx={middle(scanned[at]!)[0]} cy={middle(scanned[at]!)[1]} r={0.26} className={classes.dot} />}
        {others.map((o, n) => {
          const panel = panels.find((p) => p.id === o.place)
          return panel && <path key={o.seat} d={pennantPath(o.seat)} transform={`translate(${panel.x + 0.1 + n * 0.9} ${panel.y + 0.08}) scale(0.036)`} className={classes.seat} />
        })}
      </svg>
      <figcaption>{hereName ?? 'All panels scanned'}</figcaption>
    </figure>
  )
}
