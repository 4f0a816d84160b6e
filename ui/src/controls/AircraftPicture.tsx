import { memo, useCallback, useMemo, useRef } from 'react'
import type { AxisView, PlanformView } from '../api.gen'
import classes from './AircraftPicture.module.css'
import { useDrawn, type Moments } from './moments'
import type { Moment } from './playback'
import type { Picture } from './picture'
import { fin, frame, fuselage, path, placed, plate, wing, type Drawn } from './solid'

interface AircraftPictureProps {
  planform: PlanformView
  axes: AxisView[]
  picture: Picture
  moments: Moments
}

/** More than this of its travel and a surface counts as out, to be seen at a glance. */
const OUT_SHARE = 0.1

const full = (d: Drawn, sign: number) => (sign > 0 ? d.surface.positiveDeg : d.surface.negativeDeg)

/**
 * The aircraft from behind and above with its surfaces as they stand. Where a surface has still to go is hatched: what
 * is left is what is seen first, and a check that is complete leaves a bare drawing.
 */
export const AircraftPicture = memo(({ planform, axes, picture, moments }: AircraftPictureProps) => {
  const drawn = useMemo(() => placed(axes, planform), [axes, planform])
  const box = useMemo(() => frame(planform, drawn), [planform, drawn])
  const plates = useRef(new Map<string, SVGPathElement>())
  const draw = useCallback(
    (moment: Moment) =>
      drawn.forEach((d) => {
        const at = plates.current.get(d.surface.channel)
        const deg = moment.value(d.surface.channel)
        const share = Math.abs(deg) / Math.max(Math.abs(full(d, 1)), Math.abs(full(d, -1)))
        at?.setAttribute('d', path(plate(d, deg)))
        at?.toggleAttribute('data-out', share > OUT_SHARE)
      }),
    [drawn],
  )
  useDrawn(moments, draw)
  const left = picture.travels.filter((t) => !t.shown)
  return (
    <svg
      viewBox={box.join(' ')}
      className={classes.picture}
      role="img"
      aria-label="The aircraft from behind and above"
    >
      <defs>
        <pattern
          id="still-to-go"
          width="0.5"
          height="0.5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V0.5" className={classes.hatch} />
        </pattern>
      </defs>
      <path d={path(wing(planform.wing))} className={classes.body} />
      <path d={path(wing(planform.tailplane))} className={classes.body} />
      <path d={path(fuselage(planform))} className={classes.body} />
      <path d={path(fin(planform))} className={classes.body} />
      {drawn.map((d) =>
        [1, -1]
          .filter((sign) => Math.abs(full(d, sign)) > 0 && left.some((t) => t.axis === d.axis && t.sign === sign))
          .map((sign) => (
            <path key={d.surface.channel + sign} d={path(plate(d, full(d, sign)))} className={classes.toGo} />
          )),
      )}
      {drawn.map((d) => (
        <path
          key={d.surface.channel}
          ref={(e) => {
            if (e) plates.current.set(d.surface.channel, e)
            else plates.current.delete(d.surface.channel)
          }}
          d={path(plate(d, 0))}
          className={classes.surface}
          data-wrong={picture.axes.some((a) => a.axis === d.axis && a.standing === 'not-right') || undefined}
        >
          <title>{d.surface.name}</title>
        </path>
      ))}
    </svg>
  )
})
