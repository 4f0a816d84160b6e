import { useElementSize } from '@mantine/hooks'
import type { TakeoffRunwayView } from '../api.gen'
import { metres } from '../app/words'
import classes from './RunwayDrawing.module.css'

const EDGE = 8
const TOP = 42
const HIGH = 36
const NARROW = 620

/**
 * The runway to scale in its length, the take-off to the right: what is needed and what is left, about where V1 and VR
 * come, what lies on it, from where it can be begun, and the wind in its own frame. Our own drawing.
 */
export const RunwayDrawing = ({ runway: r }: { runway: TakeoffRunwayView }) => {
  const { ref, width } = useElementSize()
  const w = Math.max(300, width)
  const narrow = w < NARROW
  const most = Math.max(r.lengthM, r.availableM, r.beginsM + r.neededM)
  const x = (m: number) => EDGE + (m / most) * (w - 2 * EDGE)
  const end = r.beginsM + r.neededM
  const below = TOP + HIGH
  const held = r.leftM >= 0
  const high = below + (narrow ? 98 : 72)
  const third = r.lengthM / 3
  const needed = `needed ${metres(r.neededM)}${narrow ? '' : `: ${r.neededWhat}`}`
  const left = held
    ? `${metres(r.leftM)} left${narrow ? '' : ` of ${r.availableWhat}`}`
    : `${metres(-r.leftM)} too short`
  const leftRoom = x(r.availableM) - x(end) > (narrow ? 90 : 150)
  return (
    <figure className={classes.drawing} ref={ref} aria-label={`Runway ${r.runway}: ${needed}, ${left}`}>
      <svg viewBox={`0 0 ${w} ${high}`} height={high} role="img" aria-hidden="true">
        <rect
          x={x(0)}
          y={TOP}
          width={x(r.lengthM) - x(0)}
          height={HIGH}
          className={classes.pavement}
          data-gravel={r.gravel || undefined}
        />
        <rect x={x(r.beginsM)} y={TOP} width={x(end) - x(r.beginsM)} height={HIGH} className={classes.used} />
        {!held && (
          <rect x={x(r.availableM)} y={TOP} width={x(end) - x(r.availableM)} height={HIGH} className={classes.over} />
        )}
        {r.thirds.map((t, i) => {
          const from = r.thirds.length === 1 ? 0 : i * third
          const to = r.thirds.length === 1 ? r.lengthM : (i + 1) * third
          return (
            t.contaminant !== 'dry' && (
              <rect
                key={i}
                x={x(from) + 3}
                y={TOP + 3}
                width={x(to) - x(from) - 6}
                height={HIGH - 6}
                className={classes.slippery}
              />
            )
          )
        })}
        <path d={`M${x(0) + 34} ${TOP + HIGH / 2}H${x(r.lengthM) - 34}`} className={classes.middle} />
        <path d={`M${x(r.beginsM) + 3} ${TOP + HIGH / 2 - 9}v18l15-9z`} className={classes.begin} />
        <path d={`M${x(r.beginsM)} ${TOP - 6}v-12H${x(end)}v12`} className={classes.line} />
        {held && <path d={`M${x(end)} ${TOP - 18}H${x(r.availableM)}v12`} className={classes.left} />}
        <text
          x={(x(r.beginsM) + x(leftRoom ? end : Math.min(end, r.availableM))) / 2 - (leftRoom ? 0 : 60)}
          y={TOP - 26}
          textAnchor="middle"
        >
          {needed}
        </text>
        <text
          x={leftRoom ? (x(end) + x(r.availableM)) / 2 : w - EDGE}
          y={TOP - 26}
          textAnchor={leftRoom ? 'middle' : 'end'}
          className={held ? classes.strong : classes.short}
        >
          {left}
        </text>
        {r.v1M !== undefined && <Speed x={x(r.v1M)} name="V1" anchor="end" />}
        <Speed x={x(r.vrM)} name="VR" anchor="start" />
        {r.intersections.map((i) => (
          <g key={i.name}>
            <path d={`M${x(i.atM)} ${below}v9`} className={classes.tick} />
            <text
              x={Math.min(Math.max(x(i.atM), EDGE + 60), w - EDGE - 60)}
              y={below + 38}
              textAnchor="middle"
              className={classes.soft}
            >
              {narrow ? i.name : `${i.name}, ${metres(i.leftM)}${i.tooShort ? ': too short' : ' left'}`}
            </text>
          </g>
        ))}
        <Wind runway={r} y={below + 56} />
        <text
          x={narrow ? EDGE : w - EDGE}
          y={below + (narrow ? 90 : 61)}
          textAnchor={narrow ? 'start' : 'end'}
          className={classes.soft}
        >
          {r.v1M === undefined ? 'VR about where it comes' : 'V1 and VR about where they come'}
        </text>
      </svg>
    </figure>
  )
}

const Speed = ({ x, name, anchor }: { x: number; name: string; anchor: 'start' | 'end' }) => (
  <g>
    <path d={`M${x} ${TOP - 8}V${TOP + HIGH + 8}`} className={classes.tick} />
    <text x={x + (anchor === 'end' ? -3 : 3)} y={TOP + HIGH + 19} textAnchor={anchor} className={classes.strong}>
      {name}
    </text>
  </g>
)

const REACH = 17

/** The wind as it meets the take-off, which goes to the right. */
const Wind = ({ runway: r, y }: { runway: TakeoffRunwayView; y: number }) => {
  const turn = ((r.windFromDeg ?? 0) * Math.PI) / 180
  const dx = Math.cos(turn) * REACH
  const dy = Math.sin(turn) * REACH
  const cx = EDGE + REACH + 6
  const blows = r.windFromDeg !== undefined
  const head = (side: number) => {
    const back = Math.atan2(dy, dx) + side * 0.5
    return `M${cx - dx} ${y - dy}L${cx - dx + Math.cos(back) * 13} ${y - dy + Math.sin(back) * 13}`
  }
  return (
    <g>
      {blows && (
        <path d={`M${cx + dx} ${y + dy}L${cx - dx} ${y - dy}${head(1)}${head(-1)}`} className={classes.arrow} />
      )}
      <text x={blows ? cx + REACH + 16 : EDGE} y={y + 5}>
        {blows ? `${r.along}, ${r.across}` : `${r.along}, ${r.across} at worst`}
      </text>
    </g>
  )
}
