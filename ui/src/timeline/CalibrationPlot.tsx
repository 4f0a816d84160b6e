import { useComputedColorScheme } from '@mantine/core'
import { useEffect, useRef } from 'react'
import uPlot from 'uplot'
import 'uplot/dist/uPlot.min.css'
import type { CalibrationView } from '../api.gen'
import { kept, plotLook } from '../app/plot'
import classes from './CalibrationPage.module.css'

const HEIGHT = 420

/** What was said across, what came true up, each with how far the truth may lie; on the line both are the same. */
export const CalibrationPlot = ({ calibration }: { calibration: CalibrationView }) => {
  const at = useRef<HTMLDivElement>(null)
  const scheme = useComputedColorScheme('light')
  useEffect(() => {
    const on = at.current
    if (!on) return
    const { colour, axis } = plotLook(on)
    const xs = [...new Set([0, 1, ...calibration.groups.map((g) => g.said)])].sort((a, b) => a - b)
    const group = new Map(calibration.groups.map((g) => [g.said, g]))
    const percent = (_: uPlot, ticks: number[]) => ticks.map((v) => `${Math.round(v * 100)}`)
    const bars = (u: uPlot) => {
      u.ctx.strokeStyle = colour('--soft')
      u.ctx.lineWidth = 2 * devicePixelRatio
      u.ctx.setLineDash([])
      for (const g of calibration.groups) {
        const x = u.valToPos(g.said, 'x', true)
        u.ctx.beginPath()
        u.ctx.moveTo(x, u.valToPos(g.least, 'y', true))
        u.ctx.lineTo(x, u.valToPos(g.most, 'y', true))
        u.ctx.stroke()
      }
    }
    const plot = new uPlot(
      {
        width: on.clientWidth,
        height: HEIGHT,
        cursor: { show: false },
        legend: { show: false },
        scales: { x: { time: false, range: [-0.02, 1.02] }, y: { range: [-0.02, 1.02] } },
        axes: [
          { ...axis, values: percent, label: 'on time in so many of 100, as said', labelFont: axis.font! },
          { ...axis, values: percent, label: 'of 100 were on time', labelFont: axis.font! },
        ],
        series: [
          {},
          { stroke: colour('--soft'), width: 1.5, dash: [8, 6], points: { show: false } },
          {
            stroke: colour('--ink'),
            width: 0,
            points: { show: true, size: 11, fill: colour('--ink'), stroke: colour('--ink') },
            paths: () => null,
          },
        ],
        hooks: { drawSeries: [(u, i) => i === 1 && bars(u)] },
      },
      [xs, xs, xs.map((x) => group.get(x)?.came ?? null)],
      on,
    )
    return kept(plot, on, HEIGHT)
  }, [calibration, scheme])
  return <div ref={at} role="img" className={classes.plot} aria-label="What was said, and how often it came true" />
}
