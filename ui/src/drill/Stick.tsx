import { useRef, type PointerEvent } from 'react'
import classes from './Stick.module.css'
import type { Hands } from './hands'

/** So far out of its middle a pointer is at the stop, share of the pad. */
const AT_STOP = 0.42

const pct = (from: number, size: number, at: number) =>
  Math.min(100, Math.max(-100, ((at - from - size / 2) / (size * AT_STOP)) * 100))

/** A pad for the stick and a bar for the pedals, to be dragged; both go home once let go. */
export const Stick = ({ hands }: { hands: Hands }) => {
  const dot = useRef<HTMLElement>(null)
  const mark = useRef<HTMLElement>(null)
  const show = (e: HTMLElement | null, x: number, y: number) => {
    if (e) e.style.transform = `translate(${x * 0.42}cqw, ${y * 0.42}cqh)`
  }
  const stick = (e: PointerEvent<HTMLElement>) => {
    if (!e.currentTarget.hasPointerCapture(e.pointerId)) return
    const { left, top, width, height } = e.currentTarget.getBoundingClientRect()
    const roll = pct(left, width, e.clientX)
    const pitch = pct(top, height, e.clientY)
    hands.point({ roll, pitch })
    show(dot.current, roll, pitch)
  }
  const pedals = (e: PointerEvent<HTMLElement>) => {
    if (!e.currentTarget.hasPointerCapture(e.pointerId)) return
    const { left, width } = e.currentTarget.getBoundingClientRect()
    const yaw = pct(left, width, e.clientX)
    hands.point({ yaw })
    show(mark.current, yaw, 0)
  }
  const home = () => {
    hands.point({})
    show(dot.current, 0, 0)
    show(mark.current, 0, 0)
  }
  const held = (moved: (e: PointerEvent<HTMLElement>) => void) => ({
    onPointerDown: (e: PointerEvent<HTMLElement>) => {
      e.currentTarget.setPointerCapture(e.pointerId)
      moved(e)
    },
    onPointerMove: moved,
    onLostPointerCapture: home,
  })
  return (
    <div className={classes.both}>
      <div className={classes.pad} aria-label="Stick: drag it" {...held(stick)}>
        <span className={classes.push}>push</span>
        <span className={classes.pull}>pull</span>
        <i ref={dot} className={classes.dot} />
      </div>
      <div className={classes.pedals} aria-label="Pedals: drag them" {...held(pedals)}>
        <span>left</span>
        <span>right</span>
        <i ref={mark} className={classes.dot} />
      </div>
      <p className={classes.keys}>Or hold ↑ ↓ ← → and , . for the pedals, or use a game controller.</p>
    </div>
  )
}
