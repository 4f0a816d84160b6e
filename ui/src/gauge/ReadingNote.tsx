import type { ReadingView } from '../api.gen'
import classes from './ReadingNote.module.css'

const LEVELS: Record<string, string> = {
  'as-it-should-be': 'As it should be',
  soon: 'Soon',
  entry: 'With an entry',
  out: 'Out of limits',
}

/** What a value means, with its arithmetic and where the rule comes from a tap away. */
export const ReadingNote = ({ name, reading }: { name: string; reading: ReadingView | undefined }) => {
  if (!reading) return null
  return (
    <details className={classes.reading} data-level={reading.level}>
      <summary>
        <span className={classes.level}>{LEVELS[reading.level] ?? reading.level}</span>
        <span>
          <b>{name}.</b> {reading.words}
        </span>
      </summary>
      <ul>
        {reading.arithmetic.map((a) => (
          <li key={a}>{a}</li>
        ))}
        <li>{reading.source}.</li>
      </ul>
    </details>
  )
}
