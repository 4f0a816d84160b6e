import type { CaseView } from '../api.gen'
import classes from './CaseNote.module.css'

/** The case for a find: what the list says, why, until when and what is to be done. */
export const CaseNote = ({ of }: { of: CaseView }) => (
  <section className={classes.case} aria-label="The case">
    <p className={classes.verdict}>
      The list says: <b>{of.verdict.toLowerCase()}</b>
      {of.lastDay && <span>until the end of {of.lastDay}</span>}
    </p>
    <ul>
      {of.because.map((b) => (
        <li key={b}>{b}</li>
      ))}
    </ul>
    {of.todo.length > 0 && (
      <ul className={classes.todo}>
        {of.todo.map((t) => (
          <li key={t}>{t}</li>
        ))}
      </ul>
    )}
    <p className={classes.source}>{of.list}.</p>
  </section>
)
