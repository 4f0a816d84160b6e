import type { PartView, Progress } from '../api.gen'
import { GoOn } from '../live/GoOn'
import classes from './Finished.module.css'

interface FinishedProps {
  progress: Progress
  part: PartView
  next: { title: string; go: () => void } | undefined
  onGo: (stage: string) => void
}

/** Nothing of a procedure is open any more: where to go on. */
export const Finished = ({ progress, part, next, onGo }: FinishedProps) => (
  <>
    <p className={classes.title}>{part.title}</p>
    <h1 className={classes.all}>All {part.items.length} answered</h1>
    <div className={classes.on}>
      <GoOn progress={progress} from={part.stage} {...(next && { next })} onGo={onGo} />
    </div>
  </>
)
