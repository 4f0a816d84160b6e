import type { BriefingLineView } from '../api.gen'
import { LONG_S } from './length'
import classes from './Briefing.module.css'

/** How long it takes, line by line, beside the two minutes in which people listen. */
export const Length = ({ lines }: { lines: BriefingLineView[] }) => {
  const all = lines.reduce((sum, l) => sum + l.seconds, 0)
  const whole = Math.max(LONG_S * 1.1, all)
  const part = (s: number) => `${(100 * s) / whole}%`
  return (
    <div className={classes.length} aria-hidden>
      {lines.map((l) => (
        <i key={l.step} data-kind={l.kind} style={{ width: part(l.seconds) }} />
      ))}
      <b style={{ left: part(LONG_S) }}>2 min</b>
    </div>
  )
}
