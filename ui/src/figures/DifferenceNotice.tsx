import { useState } from 'react'
import type { FigureDifferenceView, FigureView, ToldView } from '../api.gen'
import { Action } from '../app/Action'
import { Choice } from '../app/Choice'
import { Pennant } from '../app/Pennant'
import { WordsForm } from '../app/WordsForm'
import { first } from '../app/words'
import { written } from './written'
import classes from './Figures.module.css'

interface DifferenceNoticeProps {
  draft: string
  figure: FigureView
  difference: FigureDifferenceView
  commander: boolean
  disabled: boolean
  onAgain: () => void
  onTake: (value: string, words: string) => void
}

const heading = (f: FigureView, d: FigureDifferenceView): string => {
  const values = [...new Set(d.entries.map((e) => `${written(e.value, f.unit)} ${f.unit}`.trim()))]
  return values.length > 1
    ? `${first(f.words)}: ${values.join(' and ')} are not the same`
    : `${first(f.words)}: both entered ${values[0]}, ${written(d.expected ?? '', f.unit)} was worked out`
}

const likely = (percent: number): string => (percent >= 99 ? 'nearly certain' : `${percent} % likely`)

const NEXT: Record<FigureDifferenceView['verdict'], string> = {
  agreed: '',
  alike: '',
  'second-differs': 'Who differs looks at the source again and enters it anew.',
  'first-differs': 'Who differs looks at the source again and enters it anew.',
  'both-differ': 'Both look at their sources again and enter it anew.',
  'both-alike-and-wrong': 'What both relied on is wrong, or what was given for the figures is: look at both.',
  'one-of-them': 'Nothing was worked out to say which is right: both look again.',
}

/** Two entries that cannot both be right, told as a sentence: how it came about, and what it would have done. */
export const DifferenceNotice = (props: DifferenceNoticeProps) => {
  const { draft, figure: f, difference: d, commander, disabled, onAgain, onTake } = props
  const [taking, setTaking] = useState(false)
  const values = [...new Set([...d.entries.map((e) => e.value), ...(d.expected ? [d.expected] : [])])]
  const [value, setValue] = useState(d.expected ?? values[0] ?? '')
  return (
    <div className={classes.differs} role="alert">
      <h2>{heading(f, d)}</h2>
      {d.entries.map((e) => (
        <Told key={e.by} told={e} figure={f} expected={d.expected} />
      ))}
      <p className={classes.next}>{NEXT[d.verdict]}</p>
      {taking ? (
        <WordsForm
          draft={`${draft}/taken`}
          label="Why? It stands in the record."
          action={`Take ${written(value, f.unit)}`}
          onCancel={() => setTaking(false)}
          onSay={(words) => {
            setTaking(false)
            onTake(value, words)
          }}
        >
          <Choice
            label="Which counts"
            chosen={value}
            onChoose={setValue}
            options={values.map((v) => ({ value: v, words: `${written(v, f.unit)} ${f.unit}` }))}
          />
        </WordsForm>
      ) : (
        <div className={classes.ways}>
          <Action hotkey="x" main disabled={disabled} onAct={onAgain}>
            Look and enter it again
          </Action>
          {commander && (
            <Action hotkey="g" disabled={disabled} onAct={() => setTaking(true)}>
              Take one, say why
            </Action>
          )}
        </div>
      )}
    </div>
  )
}

const Told = ({
  told: e,
  figure: f,
  expected,
}: {
  told: ToldView
  figure: FigureView
  expected: string | undefined
}) => {
  const [cause, ...more] = e.causes
  return (
    <p>
      {e.seat ? <Pennant seats={[e.seat]} /> : e.by} <b>{written(e.value, f.unit)}</b>{' '}
      {!cause ? (
        expected === undefined ? (
          'entered.'
        ) : (
          'is what was worked out.'
        )
      ) : (
        <>
          {f.unit}: {cause.words}, {likely(cause.percent)}
          {more[0] && more[0].percent >= 10 ? `; or ${more[0].words}, ${likely(more[0].percent)}` : ''}.
          {e.consequence && <> With it: {e.consequence}</>}
        </>
      )}
    </p>
  )
}
