import { useContext } from 'react'
import type { PlaceView } from '../api.gen'
import { pennantPath } from '../app/Pennant'
import { SeatingContext } from '../app/seating'
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

/** As many panels are shown ahead of the one at hand: the whole way would be a knot. */
const AHEAD = 2

const middle = (p: PlaceView): [number, number] => [p.x + p.width / 2, p.y + p.height / 2]

/** The flight deck as blocks: where one is, the next two panels, and the order of the others as small figures. */
export const FlightDeck = ({ places, path, at, left, others, onPlace }: FlightDeckProps) => {
  const seating = useContext(SeatingContext)
  const panels = places.filter((p) => p.width > 0)
  const scanned = path.map((id) => panels.find((p) => p.id === id)).filter((p): p is PlaceView => p !== undefined)
  const right = Math.max(...panels.map((p) => p.x + p.width))
  const bottom = Math.max(...panels.map((p) => p.y + p.height))
  const here = scanned[at]
  const ahead = here ? scanned.slice(at + 1, at + 1 + AHEAD) : []
  // Of a panel that is scanned twice the figure of the visit that comes next, or of its last one.
  const visit = (id: string) => {
    const next = path.indexOf(id, Math.max(at, 0))
    return (next < 0 ? path.lastIndexOf(id) : next) + 1
  }
  const state = (p: PlaceView) =>
    p === here ? 'here' : !path.includes(p.id) ? 'other' : left.has(p.id) ? 'open' : 'closed'
  return (
    <figure className={classes.deck}>
      <svg
        viewBox={`-0.3 -0.3 ${right + 0.6} ${bottom + 0.6}`}
        role="img"
        aria-label={`The scan: ${left.size} panels to go${here ? `, now ${here.name}` : ''}`}
      >
        {panels.map((p) => (
          <rect
            key={p.id}
            x={p.x}
            y={p.y}
            width={p.width}
            height={p.height}
            rx={0.2}
            className={classes.panel}
            data-state={state(p)}
            onClick={() => path.includes(p.id) && onPlace(p.id)}
          />
        ))}
        {ahead.map((p, i) => (
          <path
            key={`${p.id}/${at + i}`}
            d={step(scanned[at + i]!, p)}
            className={classes.way}
            data-next={i === 0 || undefined}
          />
        ))}
        {panels
          .filter((p) => path.includes(p.id))
          .map((p) => (
            <text
              key={p.id}
              x={middle(p)[0]}
              y={p.y + p.height - 0.18}
              className={classes.figure}
              data-state={state(p)}
            >
              {visit(p.id)}
            </text>
          ))}
        {others.map((o, n) => {
          const panel = panels.find((p) => p.id === o.place)
          return (
            panel && (
              <path
                key={o.seat}
                d={pennantPath(seating, o.seat)}
                transform={`translate(${panel.x + 0.1 + n * 0.9} ${panel.y + 0.08}) scale(0.036)`}
                className={classes.seat}
              />
            )
          )
        })}
      </svg>
      <figcaption>
        {here
          ? [`Now ${here.name.toLowerCase()}`, ...ahead.map((p) => p.name.toLowerCase())].join(', then ')
          : 'All panels scanned'}
        .
      </figcaption>
    </figure>
  )
}

/** From the middle of one panel to the middle of the next, with a head there. */
const step = (from: PlaceView, to: PlaceView): string => {
  const [x1, y1] = middle(from)
  const [x2, y2] = middle(to)
  const away = Math.atan2(y1 - y2, x1 - x2)
  const head = [0.45, -0.45].map(
    (turn) => `M${x2} ${y2}l${0.42 * Math.cos(away + turn)} ${0.42 * Math.sin(away + turn)}`,
  )
  return `M${x1} ${y1}L${x2} ${y2}${head.join('')}`
}
