import { UnstyledButton } from '@mantine/core'
import { Fragment, useRef, useState, type PointerEvent } from 'react'
import type { BlockView, FoundView, PersonPlanView } from '../api.gen'
import { clockTime, span } from '../app/clock'
import { lanesOf, ofBlock, ofWait, place, timeAt, timesOf, type Placed } from './rows'
import classes from './Strips.module.css'

/** Rows grow with their words, and beyond that by their time. */
const PX_A_MINUTE = 9

/** A long time in which nothing begins or ends takes no more than this. */
const MOST_PX = 64

/** Less than this and it is said when it must have begun. */
const LITTLE_S = 10 * 60

/** How wide a seat's lane is drawn, and one of the others'. */
const SEAT_FR = 2
const OTHERS_FR = 1.1

const lanesAs = (n: number, fr: number): string => `repeat(${n}, minmax(0, ${fr}fr))`

/** Less than this is no drag. */
const DRAGGED_PX = 6
const GAP_PX = 3
const MINUTE_MS = 60_000

/** A task that is tried at another time. @param what its id */
export interface Trying {
  what: string
  name: string
  /** Milliseconds. */
  at: number
}

interface StripsProps {
  found: FoundView
  /** The plan from which it differs; what moved is drawn so. */
  before?: FoundView
  onTry: (trying: Trying) => void
  /** The seat of who looks on; empty where they have none. */
  seat: string
  zone: string
  now: number
}

/** A strip a seat, hanging down along the cord: what stands beside each other is done at the same time. */
export const Strips = ({ found, before, seat, zone, now, onTry }: StripsProps) => {
  const grid = useRef<HTMLDivElement>(null)
  const was = new Map(before?.strips.flatMap((s) => s.blocks.map((b) => [b.id, b.begins] as const)))
  const others = found.strips.filter((s) => !s.seat).flatMap((s) => s.blocks.map(ofBlock))
  const strips = found.strips.filter((s) => s.seat)
  const all = [...strips.flatMap((s) => s.blocks.map(ofBlock)), ...others, ...found.waits.map(ofWait)]
  const times = timesOf(all)
  const columns = [
    ...strips.map((s) => ({ strip: s as PersonPlanView | undefined, placed: place(s.blocks.map(ofBlock), times) })),
    { strip: undefined, placed: place([...others, ...found.waits.map(ofWait)], times) },
  ]
  const lanes = columns.map((c) => lanesOf(c.placed))
  const said = minutesSaid(columns.filter((c) => c.strip).flatMap((c) => c.placed))
  const begin = lanes.map((_, i) => 2 + lanes.slice(0, i).reduce((a, b) => a + b, 0))
  /** Where a block was dropped: its first row is known, and how far it was dragged from there. */
  const drop = (p: Placed, by: number) => {
    const heights = getComputedStyle(grid.current!).gridTemplateRows.split(' ').slice(1).map(parseFloat)
    const top = heights.slice(0, p.row).reduce((a, h) => a + h + GAP_PX, 0)
    const at = Math.round(timeAt(top + by, heights, GAP_PX, times) / MINUTE_MS) * MINUTE_MS
    onTry({ what: p.block!.id, name: p.what, at: Math.abs(by) < DRAGGED_PX ? p.begins : Math.max(times[0]!, at) })
  }
  return (
    <div
      ref={grid}
      className={classes.strips}
      style={{
        gridTemplateColumns: `3.6rem ${lanes.map((n, i) => lanesAs(n, strips[i] ? SEAT_FR : OTHERS_FR)).join(' ')}`,
        gridTemplateRows: `auto ${times
          .slice(1)
          .map((t, i) => `minmax(${Math.round(Math.min(MOST_PX, ((t - times[i]!) / 60_000) * PX_A_MINUTE))}px, auto)`)
          .join(' ')} auto`,
      }}
    >
      {columns.map(({ strip, placed }, i) => (
        <Fragment key={strip?.seat ?? 'others'}>
          <h2 className={classes.who} style={{ gridColumn: `${begin[i]} / span ${lanes[i]}`, gridRow: 1 }}>
            {strip ? strip.name : 'Others, and times to wait'}
            {strip && <small>{strip.seat === 'engineer' ? 'engineer' : `${strip.seat} seat`}</small>}
          </h2>
          {placed.map((p) => (
            <Block
              key={p.key}
              placed={p}
              column={begin[i]! + p.lane}
              mine={strip?.seat === seat}
              zone={zone}
              now={now}
              was={moved(p.block, was)}
              onDrop={drop}
            />
          ))}
        </Fragment>
      ))}
      {times.slice(0, -1).map((t, i) =>
        said.has(t) ? (
          <time key={t} className={classes.time} style={{ gridColumn: 1, gridRow: i + 2 }}>
            {clockTime(t, zone)}
          </time>
        ) : null,
      )}
    </div>
  )
}

/** The times at which somebody of the crew begins something, each minute said once. */
const minutesSaid = (placed: readonly Placed[]): Set<number> => {
  const said = new Map<number, number>()
  for (const t of placed.map((p) => p.begins).sort((a, b) => a - b))
    if (!said.has(Math.floor(t / 60_000))) said.set(Math.floor(t / 60_000), t)
  return new Set(said.values())
}

/** When it began before, where that is another time; empty where it is not. */
const moved = (b: BlockView | undefined, was: Map<string, string>): string => {
  const before = b && was.get(b.id)
  return before && Math.abs(Date.parse(before) - Date.parse(b.begins)) >= MINUTE_MS / 2 ? before : ''
}

interface BlockProps {
  placed: Placed
  column: number
  mine: boolean
  zone: string
  now: number
  was: string
  onDrop: (placed: Placed, by: number) => void
}

/** Tapped or dragged, a task is tried at another time; a finger scrolls instead, and taps. */
const useDragging = (onDrop: (by: number) => void) => {
  const from = useRef<number>(undefined)
  const [by, setBy] = useState(0)
  return {
    by,
    handlers: {
      onPointerDown: (e: PointerEvent) => {
        if (e.pointerType === 'touch' || e.button !== 0) return
        from.current = e.clientY
        e.currentTarget.setPointerCapture(e.pointerId)
      },
      onPointerMove: (e: PointerEvent) => from.current !== undefined && setBy(e.clientY - from.current),
      onPointerCancel: () => {
        from.current = undefined
        setBy(0)
      },
      onClick: () => {
        from.current = undefined
        setBy(0)
        onDrop(by)
      },
    },
  }
}

const Block = ({ placed: p, column, mine, zone, now, was, onDrop }: BlockProps) => {
  const b = p.block
  const little = b && b.latest && b.slackS < LITTLE_S && !b.critical
  const { by, handlers } = useDragging((dragged) => onDrop(p, dragged))
  const task = b?.stage !== undefined
  return (
    <UnstyledButton
      component={task ? 'button' : 'div'}
      className={classes.block!}
      {...(task && handlers)}
      data-moved={was !== '' || undefined}
      data-drags={by !== 0 || undefined}
      data-kind={b ? 'task' : 'wait'}
      data-critical={b?.critical || undefined}
      data-now={(mine && p.begins <= now + 1000 && p.ends > now) || undefined}
      style={{
        gridColumn: column,
        gridRow: `${p.row + 2} / span ${p.rows}`,
        ...(by !== 0 && { translate: `0 ${by}px` }),
      }}
      title={b?.places.join(', ')}
    >
      <b>{p.what}</b>
      <span>
        {p.ends > p.begins ? span(p.ends - p.begins) : `at ${clockTime(p.ends, zone)}`}
        {b && b.steps > 1 && ` · ${b.steps} steps`}
        {b?.outside && ' · outside'}
        {b && b.with.length > 0 && ' · together'}
        {little && ` · by ${clockTime(b.latest, zone)}`}
        {was && ` · was ${clockTime(was, zone)}`}
      </span>
    </UnstyledButton>
  )
}
