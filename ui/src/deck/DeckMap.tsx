import type { DeckView } from '../api.gen'
import { Fold } from '../app/Fold'
import classes from './DeckMap.module.css'

/** A line that opens the deck and says how much of it can hurt. */
export const DeckFold = ({ deck }: { deck: DeckView }) => {
  const hurts = deck.areas.filter((a) => a.remark !== '').length
  return (
    <Fold line={`The deck: ${hurts} places that can hurt`}>
      <DeckMap deck={deck} />
    </Fold>
  )
}

/** The deck of the ship, bow up, with a number at each place that can hurt, and how it does. */
export const DeckMap = ({ deck }: { deck: DeckView }) => {
  const right = deck.outline.map((c) => c[0]!)
  const ahead = deck.outline.map((c) => c[1]!)
  const margin = 6
  const [left, top] = [Math.min(...right) - margin, -Math.max(...ahead) - margin]
  const [width, height] = [Math.max(...right) + margin - left, -Math.min(...ahead) + margin - top]
  const path = (corners: number[][], closed: boolean) =>
    corners.map((c, n) => `${n === 0 ? 'M' : 'L'}${c[0]} ${-c[1]!}`).join('') + (closed ? 'Z' : '')
  const numbered = deck.areas.filter((a) => a.remark !== '')
  return (
    <figure className={classes.deck}>
      <svg viewBox={`${left} ${top} ${width} ${height}`} role="img" aria-label="The deck of the ship from above">
        <path d={path(deck.outline, true)} className={classes.edge} />
        {deck.areas.map((a) =>
          a.kind === 'spot' ? (
            <g key={a.name} className={classes.spot}>
              <circle cx={a.corners[0]![0]} cy={-a.corners[0]![1]!} r={2.2} />
            </g>
          ) : (
            <path key={a.name} d={path(a.corners, a.closed)} className={classes[a.kind]} />
          ),
        )}
        {numbered.map((a, n) => {
          const [x, y] = middle(a.corners)
          return (
            <g key={a.name} className={classes.number}>
              <circle cx={x} cy={-y} r={6} />
              <text x={x} y={-y}>
                {n + 1}
              </text>
            </g>
          )
        })}
      </svg>
      <figcaption>
        <ol>
          {numbered.map((a) => (
            <li key={a.name}>
              <b>{a.name}.</b> {a.remark}
            </li>
          ))}
        </ol>
        <p>Bow up; dots are where aircraft stand, the dotted line is the way to walk. From the airfield file.</p>
      </figcaption>
    </figure>
  )
}

const middle = (corners: number[][]): [number, number] => [
  corners.reduce((sum, c) => sum + c[0]!, 0) / corners.length,
  corners.reduce((sum, c) => sum + c[1]!, 0) / corners.length,
]
