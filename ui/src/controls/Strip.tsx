import { memo, useCallback, useRef } from 'react'
import type { AxisView } from '../api.gen'
import type { Check } from '../live/samples'
import { useDrawn, type Moments } from './moments'
import { controlOf, shareOf, type Moment } from './playback'
import classes from './Strip.module.css'

/** How much of the past is shown, seconds. */
const PAST_S = 8

/** Colours are asked of the page no oftener than so many frames: day turns to night rarely. */
const COLOURS_EVERY = 30

interface Line {
  dash: number[]
  width: number
  value: (columns: ReadonlyMap<string, number>, row: readonly (number | null)[]) => number
}

/** The last seconds: the control that moves drawn whole, the first surface that follows it broken. */
export const Strip = memo(({ axes, moments }: { axes: AxisView[]; moments: Moments }) => {
  const canvas = useRef<HTMLCanvasElement>(null)
  const caption = useRef<HTMLElement>(null)
  const look = useRef({ frames: 0, ink: '', soft: '', axis: axes[0] })
  const draw = useCallback(
    (moment: Moment, check: Check) => {
      const on = canvas.current
      const pen = on?.getContext('2d')
      if (!on || !pen) return
      const state = look.current
      if (state.frames++ % COLOURS_EVERY === 0) {
        const style = getComputedStyle(on)
        state.ink = style.getPropertyValue('--ink')
        state.soft = style.getPropertyValue('--soft')
        const scale = window.devicePixelRatio || 1
        on.width = on.clientWidth * scale
        on.height = on.clientHeight * scale
      }
      const moves = axes.find((a) => Math.abs(moment.control(a.axis)) > 5)
      if (moves) state.axis = moves
      const axis = state.axis
      if (!axis) return
      const surface = axis.surfaces[0]
      const follower = surface?.name.toLowerCase() ?? 'surface'
      const words = `${axis.name}, the last ${PAST_S} s: the control whole, ${follower} broken`
      if (caption.current && caption.current.textContent !== words) caption.current.textContent = words
      const columns = new Map(check.channels.map((c, i) => [c, i + 1]))
      const { width, height } = on
      pen.clearRect(0, 0, width, height)
      pen.strokeStyle = state.soft
      pen.setLineDash([2, 6])
      pen.lineWidth = 1
      pen.beginPath()
      pen.moveTo(0, height / 2)
      pen.lineTo(width, height / 2)
      pen.stroke()
      const y = (share: number) => height / 2 - share * height * 0.44
      const x = (seconds: number) => width * (1 - (moment.seconds - seconds) / PAST_S)
      const control: Line = {
        dash: [],
        width: 3,
        value: (c, row) => controlOf(c, axis.axis, (name) => row[c.get(name) ?? -1] ?? 0) / 100,
      }
      const follows: Line = {
        dash: [8, 6],
        width: 2,
        value: (c, row) => {
          const deg = row[c.get(surface?.channel ?? '') ?? -1]
          return deg === null || deg === undefined || !surface ? NaN : shareOf(surface, deg)
        },
      }
      let first = check.rows.length - 1
      while (first > 0 && (check.rows[first]?.[0] ?? 0) > moment.seconds - PAST_S) first--
      for (const line of [control, follows]) {
        pen.strokeStyle = state.ink
        pen.setLineDash(line.dash)
        pen.lineWidth = line.width
        pen.beginPath()
        let down = false
        for (let i = first; i < check.rows.length; i++) {
          const row = check.rows[i]!
          const t = row[0] ?? 0
          if (t > moment.seconds) break
          const share = line.value(columns, row)
          if (Number.isNaN(share)) down = false
          else if (down) pen.lineTo(x(t), y(share))
          else pen.moveTo(x(t), y(share))
          down = !Number.isNaN(share)
        }
        pen.stroke()
      }
    },
    [axes],
  )
  useDrawn(moments, draw)
  return (
    <figure className={classes.strip}>
      <canvas ref={canvas} />
      <figcaption ref={caption}>The last {PAST_S} s, once something moves</figcaption>
    </figure>
  )
})
