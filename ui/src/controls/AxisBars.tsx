import { memo, useCallback, useRef } from 'react'
import type { AxisView } from '../api.gen'
import classes from './AxisBars.module.css'
import { useDrawn, type Moments } from './moments'
import type { AxisStands, Picture, Travel } from './picture'
import { shareOf, type Moment } from './playback'

interface AxisBarsProps {
  axes: AxisView[]
  picture: Picture
  moments: Moments
}

const STANDS: Record<AxisStands['standing'], string> = {
  'to-move': 'to move',
  moved: 'moved; let go and wait',
  right: 'as it should be',
  'not-right': 'not as it should be',
  untold: '',
}

/** One bar an axis and stick: filled as far as control and surfaces have been, with where both are now. */
export const AxisBars = memo(({ axes, picture, moments }: AxisBarsProps) => {
  const marks = useRef(new Map<string, HTMLElement>())
  const keep = (key: string) => (e: HTMLElement | null) => {
    if (e) marks.current.set(key, e)
    else marks.current.delete(key)
  }
  const draw = useCallback(
    (moment: Moment) => {
      const set = (key: string, share: number) => {
        const mark = marks.current.get(key)
        if (mark) mark.style.transform = `translateX(${(50 * Math.min(1.04, Math.max(-1.04, share))).toFixed(2)}cqw)`
      }
      for (const a of axes) {
        for (const seat of ['any', 'left', 'right'] as const) {
          const control = seat === 'any' ? moment.control(a.axis) : moment.value(`${seat}-${a.axis}`)
          set(`${a.axis}/${seat}`, (Number.isNaN(control) ? moment.control(a.axis) : control) / 100)
          const surface = a.surfaces[0]
          if (!surface) continue
          set(`${a.axis}/${seat}/surface`, shareOf(surface, moment.value(surface.channel)))
        }
      }
    },
    [axes],
  )
  useDrawn(moments, draw)
  return (
    <div className={classes.bars}>
      {axes.map((a) => {
        const stands = picture.axes.find((x) => x.axis === a.axis)
        const travels = picture.travels.filter((t) => t.axis === a.axis)
        const seats = [...new Set(travels.map((t) => t.seat))]
        return (
          <div key={a.axis} className={classes.axis} data-standing={stands?.standing}>
            <p className={classes.title}>
              <b>{a.name}</b> <span>{STANDS[stands?.standing ?? 'to-move']}</span>
            </p>
            {seats.map((seat) => (
              <div key={seat} className={classes.bar}>
                <Filled travel={travels.find((t) => t.seat === seat && t.sign < 0)} />
                <Filled travel={travels.find((t) => t.seat === seat && t.sign > 0)} />
                <i className={classes.middle} />
                <i ref={keep(`${a.axis}/${seat}/surface`)} className={classes.surface} />
                <i ref={keep(`${a.axis}/${seat}`)} className={classes.control} />
              </div>
            ))}
            <p className={classes.ends}>
              <span>{a.negative}</span>
              <span>{seats.length > 1 && 'left above right'}</span>
              <span>{a.positive}</span>
            </p>
          </div>
        )
      })}
    </div>
  )
})

const Filled = ({ travel }: { travel: Travel | undefined }) => (
  <span
    className={classes.fill}
    data-way={(travel?.sign ?? 1) < 0 ? 'negative' : 'positive'}
    data-shown={(travel?.shown && travel.covered > 0) || undefined}
    style={{ inlineSize: `${(travel?.covered ?? 0) * 50}%` }}
  />
)
