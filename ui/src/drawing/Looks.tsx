import { createElement, memo } from 'react'
import type { DrawingView, ItemView } from '../api.gen'
import classes from './Looks.module.css'

/** How it looks when it is right, and when it is wrong. */
export const Looks = ({ drawings, looks }: { drawings: DrawingView[]; looks: ItemView['looks'] }) => {
  const known = (ids: string[]) => ids.flatMap((id) => drawings.find((d) => d.id === id) ?? [])
  const right = known(looks.right)
  const wrong = known(looks.wrong)
  if (right.length + wrong.length === 0) return null
  return (
    <div className={classes.looks} role="group" aria-label="How it looks">
      {right.map((d) => (
        <LineDrawing key={d.id} drawing={d} verdict="Right" />
      ))}
      {wrong.map((d) => (
        <LineDrawing key={d.id} drawing={d} verdict="Wrong" />
      ))}
    </div>
  )
}

/** A drawing of the pack: only shapes that the server knows come here. */
const LineDrawing = memo(({ drawing, verdict }: { drawing: DrawingView; verdict: 'Right' | 'Wrong' }) => (
  <figure className={classes.one} data-verdict={verdict}>
    {drawing.photo ? (
      <img
        src={`data:image/jpeg;base64,${drawing.photo}`}
        alt={drawing.title}
        width={drawing.width}
        height={drawing.height}
      />
    ) : (
      <svg viewBox={`0 0 ${drawing.width} ${drawing.height}`} role="img" aria-label={drawing.title}>
        {drawing.shapes.map((s, n) => createElement(s.form, { key: n, 'data-tone': s.tone, ...s.measures }))}
      </svg>
    )}
    <figcaption>
      <b>{verdict}</b> {drawing.title}
    </figcaption>
  </figure>
))
