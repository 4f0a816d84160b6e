import type { SchoolView } from '../api.gen'
import classes from './Schools.module.css'

interface SchoolsProps {
  /** The line that opens it. */
  line: string
  schools: SchoolView[]
}

/** What this fleet does where crews differ: a line that opens. */
export const Schools = ({ line, schools }: SchoolsProps) => (
  <details className={classes.schools}>
    <summary>{line}</summary>
    <dl>
      {schools.map((s) => (
        <div key={s.matter}>
          <dt>{s.matter}</dt>
          <dd>{s.school}</dd>
        </div>
      ))}
    </dl>
  </details>
)
