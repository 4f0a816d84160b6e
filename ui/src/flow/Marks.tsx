import type { StepView } from '../api.gen'
import { clockTime } from '../app/clock'
import classes from './Marks.module.css'

const SAYS: Record<string, string> = { done: 'done', 'not-today': 'not today', later: 'look again', find: 'find' }

/** Who said what of a step; two different answers are both shown. */
export const Marks = ({ step, zone }: { step: StepView | undefined; zone: string }) => {
  if (!step || step.marks.length === 0) return null
  return (
    <div className={classes.marks} data-disagreed={step.disagreed || undefined}>
      {step.disagreed && <b>Two answers to this step. The worse one stands until it is settled.</b>}
      {step.marks.map((m) => (
        <span key={m.by + m.at}>
          {m.by}: {SAYS[m.outcome] ?? m.outcome}
          {m.words ? `, ${m.words}` : ''} {m.at && ` · ${clockTime(m.at, zone)}`}
        </span>
      ))}
    </div>
  )
}
