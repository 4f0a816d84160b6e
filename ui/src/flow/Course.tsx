import type { BeatView } from '../api.gen'
import { Action } from '../app/Action'
import { useDraft } from '../app/useDraft'
import classes from './Course.module.css'

interface CourseProps {
  /** Where it is kept how far the test has come. */
  draft: string
  beats: BeatView[]
  disabled: boolean
  /** The last of it was seen. */
  onDone: () => void
}

/** A test in its parts: press, see, and on to the next; what is not seen is a find. */
export const Course = ({ draft, beats, disabled, onDone }: CourseProps) => {
  const [kept, keep, drop] = useDraft(draft, '0')
  const at = Math.min(Number(kept) || 0, beats.length - 1)
  const seen = () => {
    if (at < beats.length - 1) {
      keep(String(at + 1))
      return
    }
    drop()
    onDone()
  }
  return (
    <div className={classes.course}>
      <ol>
        {beats.map((b, n) => (
          <li
            key={b.act}
            data-now={n === at || undefined}
            data-seen={n < at || undefined}
            aria-current={n === at ? 'step' : undefined}
          >
            <b>{b.act}</b>
            <span>{b.see}</span>
          </li>
        ))}
      </ol>
      <Action hotkey="Space" shown="space" main disabled={disabled} onAct={seen}>
        Seen: {beats[at]?.see}
      </Action>
    </div>
  )
}
