import { useComputedColorScheme } from '@mantine/core'
import { useEffect, useRef } from 'react'
import uPlot from 'uplot'
import 'uplot/dist/uPlot.min.css'
import { kept, plotLook } from '../app/plot'
import type { Course } from './overlay'
import classes from './Recordings.module.css'

const HEIGHT = 260

/** All times of both, each with what either showed then. */
const columns = (courses: readonly Course[]): uPlot.AlignedData => {
  const xs = [...new Set(courses.flatMap((c) => c.seconds))].sort((a, b) => a - b)
  const at = courses.map((c) => new Map(c.seconds.map((s, i) => [s, c.deg[i] ?? null])))
  return [xs, ...at.map((m) => xs.map((x) => m.get(x)))]
}

/** One surface of one or two checks over time; a stretch is drawn larger by dragging over it. */
export const OverlayPlot = ({ courses, label }: { courses: readonly Course[]; label: string }) => {
  const on = useRef<HTMLDivElement>(null)
  const scheme = useComputedColorScheme('light')
  useEffect(() => {
    const place = on.current
    if (!place) return
    const { colour, axis } = plotLook(place)
    const plot = new uPlot(
      {
        width: place.clientWidth,
        height: HEIGHT,
        cursor: { drag: { x: true, y: false } },
        legend: { show: false },
        scales: { x: { time: false } },
        axes: [
          { ...axis, values: (_, ticks) => ticks.map((v) => `${v} s`) },
          { ...axis, values: (_, ticks) => ticks.map((v) => `${v}°`), size: 64 },
        ],
        series: [
          {},
          { stroke: colour('--ink'), width: 2.5, points: { show: false } },
          { stroke: colour('--streamer'), width: 2.5, dash: [9, 5], points: { show: false } },
        ].slice(0, courses.length + 1),
      },
      columns(courses),
      place,
    )
    return kept(plot, place, HEIGHT)
  }, [courses, scheme])
  return <div ref={on} className={classes.plot} role="img" aria-label={label} />
}
