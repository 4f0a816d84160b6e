import { useComputedColorScheme } from '@mantine/core'
import { useEffect, useRef } from 'react'
import uPlot from 'uplot'
import 'uplot/dist/uPlot.min.css'
import type { TrendView } from '../api.gen'
import { kept, plotLook } from '../app/plot'
import classes from './Trends.module.css'

const HEIGHT = 340
const WEEK_S = 7 * 24 * 3600

/** How much is left free above and below what is drawn, share. */
const AIR = 0.12

const seconds = (at: string): number => Date.parse(at) / 1000

/** Every time that something is drawn at, and the line on to where it meets its limit. */
const columns = (t: TrendView): [number[], (number | null)[], (number | null)[], (number | null)[]] => {
  const [from, to] = t.line
  const last = t.points.at(-1)!
  const ends: [number, number][] =
    from && to
      ? [
          [seconds(from.at), from.value],
          [seconds(to.at), to.value],
        ]
      : []
  if (to && t.worsens && t.weeks !== undefined && t.limit !== undefined)
    ends.push([seconds(last.at) + t.weeks * WEEK_S, t.limit])
  const xs = [...new Set([...t.points.map((p) => seconds(p.at)), ...ends.map((e) => e[0])])].sort((a, b) => a - b)
  const values = new Map(t.points.map((p) => [seconds(p.at), p.value]))
  const line = new Map(ends)
  return [xs, xs.map((x) => values.get(x) ?? null), xs.map(() => t.limit ?? null), xs.map((x) => line.get(x) ?? null)]
}

/** One number over months, with its limit where it has one; dragging draws a stretch larger, two clicks all of it. */
export const TrendPlot = ({ trend, one }: { trend: TrendView; one: string }) => {
  const at = useRef<HTMLDivElement>(null)
  const scheme = useComputedColorScheme('light')
  useEffect(() => {
    const on = at.current
    if (!on) return
    const { colour, axis } = plotLook(on)
    const [xs, values, limit, line] = columns(trend)
    const told = [...values, ...line, ...limit].filter((v) => v !== null)
    const [least, most] = [Math.min(...told), Math.max(...told)]
    const air = Math.max((most - least) * AIR, 0.05)
    const plot = new uPlot(
      {
        width: on.clientWidth,
        height: HEIGHT,
        cursor: { drag: { x: true, y: false } },
        legend: { show: false },
        scales: { y: { range: [least - air, most + air] } },
        axes: [axis, { ...axis, values: (_, ticks) => ticks.map((v) => `${v.toFixed(2)} ${trend.unit}`), size: 84 }],
        series: [
          {},
          {
            stroke: colour('--ink'),
            width: 0,
            points: { show: true, size: 8, fill: colour('--paper'), stroke: colour('--ink') },
            paths: () => null,
          },
          { stroke: colour('--streamer'), width: 3, dash: [10, 6], points: { show: false } },
          { stroke: colour('--ink'), width: 2, spanGaps: true, points: { show: false } },
        ],
      },
      [xs, values, limit, line],
      on,
    )
    return kept(plot, on, HEIGHT)
  }, [trend, scheme])
  return (
    <figure style={{ margin: 0 }}>
      <div ref={at} className={classes.plot} role="img" aria-label={trend.words} />
      <figcaption className={classes.legend}>
        <span>○ {one}</span>
        {trend.limit !== undefined && <span>╌ the {trend.atLeast ? 'least' : 'most'}</span>}
        {trend.line.length > 0 && <span>─ as it goes since it changed last</span>}
        <span>Drag over a stretch to see it larger, click twice for all of it.</span>
      </figcaption>
    </figure>
  )
}
