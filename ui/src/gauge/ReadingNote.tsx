import type { ReadingView } from '../api.gen'
import { Fold, type FoldProps } from '../app/Fold'
import classes from './ReadingNote.module.css'

const LEVELS: Record<string, string> = {
  'as-it-should-be': 'As it should be',
  soon: 'Soon',
  entry: 'With an entry',
  out: 'Out of limits',
}

const TONES: Record<string, FoldProps['tone']> = { soon: 'caution', entry: 'caution', out: 'off' }

/** What a value means, with its arithmetic and where the rule comes from a tap away. */
export const ReadingNote = ({ name, reading }: { name: string; reading: ReadingView | undefined }) => {
  if (!reading) return null
  return (
    <Fold
      tone={TONES[reading.level] ?? 'rest'}
      className={classes.reading!}
      line={
        <span className={classes.line} data-level={reading.level}>
          <span className={classes.level}>{LEVELS[reading.level] ?? reading.level}</span>
          <span>
            <b>{name}.</b> {reading.words}
          </span>
          <span className={classes.how}>how</span>
        </span>
      }
    >
      <ul>
        {reading.arithmetic.map((a) => (
          <li key={a}>{a}</li>
        ))}
        <li>{reading.source}.</li>
      </ul>
    </Fold>
  )
}
