import { memo } from 'react'
import type { SchoolView } from '../api.gen'
import { Fold } from '../app/Fold'
import classes from './Schools.module.css'

interface SchoolsProps {
  /** The line that opens it. */
  line: string
  schools: SchoolView[]
}

/** What this fleet does where crews differ: a line that opens. */
export const Schools = memo(({ line, schools }: SchoolsProps) => (
  <Fold line={line} className={classes.schools!}>
    <dl>
      {schools.map((s) => (
        <div key={s.matter}>
          <dt>{s.matter}</dt>
          <dd>{s.school}</dd>
        </div>
      ))}
    </dl>
  </Fold>
))
