import { Button } from '@mantine/core'
import { useState } from 'react'
import type { BriefingLineView } from '../api.gen'
import { Slot } from '../app/Slot'
import { together } from '../app/words'
import { WordsForm } from '../app/WordsForm'
import type { Live } from '../live/useDeparture'
import { parted } from './other'
import classes from './Briefing.module.css'

interface BriefedLineProps {
  live: Live
  line: BriefingLineView
  /** How its step stands. */
  status: string
  disabled: boolean
}

/** Words, heavier where they are not as they were. */
const Apart = ({ words, was }: { words: string; was: string }) => {
  const { before, other, after } = parted(words, was)
  return (
    <>
      {together(before)} <b>{together(other)}</b> {together(after)}
    </>
  )
}

/** One line: what is said, what it came from, and a way to put it in other words. */
export const BriefedLine = ({ live, line: l, status, disabled }: BriefedLineProps) => {
  const [writing, setWriting] = useState(false)
  const was = l.read && l.read.words !== l.words ? l.read.words : undefined
  const word = (words: string) => {
    live.outbox.put('briefing-worded', { line: l.step, words }, l.title)
    setWriting(false)
  }
  return (
    <li className={classes.line} data-kind={l.kind} data-step={l.step}>
      <Slot status={status} />
      <div>
        <b className={classes.title}>{l.title}</b>
        {l.why && <span className={classes.why}>{l.why}</span>}
        {writing ? (
          <WordsForm
            draft={`briefing/${live.view.header.id}/${l.step}`}
            label={`${l.title}, in your own words`}
            action="Say it so"
            begin={l.words}
            onSay={word}
            onCancel={() => setWriting(false)}
          />
        ) : (
          <p className={classes.words}>
            {was === undefined ? together(l.words) : <Apart words={l.words} was={was} />}
          </p>
        )}
        {was !== undefined && (
          <p className={classes.was}>
            Read was: <Apart words={was} was={l.words} />
          </p>
        )}
        {l.before !== undefined && (
          <p className={classes.was}>
            Your words were for what it was: {l.before}{' '}
            <Button size="desk" disabled={disabled} onClick={() => word(l.before!)}>
              Use them
            </Button>
          </p>
        )}
      </div>
      <div className={classes.from}>
        <span>{l.from.join(', ')}</span>
        {!disabled && !writing && (
          <Button size="desk" variant="plain" onClick={() => setWriting(true)}>
            Other words
          </Button>
        )}
        {!disabled && !writing && l.ownWords && (
          <Button size="desk" variant="plain" onClick={() => word('')}>
            As put together
          </Button>
        )}
      </div>
    </li>
  )
}
