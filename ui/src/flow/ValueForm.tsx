import { Button, Input } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useState } from 'react'
import type { ValueView } from '../api.gen'
import { Action } from '../app/Action'
import { Key } from '../app/Key'
import { useDraft } from '../app/useDraft'
import { WordsForm } from '../app/WordsForm'
import { agrees, sayable } from './values'
import classes from './ValueForm.module.css'

interface ValueFormProps {
  /** Where what is typed is kept until it is sent. */
  draft: string
  step: string
  name: string
  value: ValueView
  disabled: boolean
  onSay: (value: string) => void
  /** What is seen is not what today gives, and somebody says why. */
  onDiffer: (value: string, words: string) => void
}

const FIELD = { input: classes.field! }

/** The value seen, chosen or typed; one that is not today's is settled before it is said. */
export const ValueForm = ({ draft, step, name, value, disabled, onSay, onDiffer }: ValueFormProps) => {
  const [text, setText, dropText] = useDraft(draft)
  const [wrong, setWrong] = useState('')
  const [differs, setDiffers] = useState('')
  const [because, setBecause] = useState(false)
  const say = (said: string) => {
    if (disabled) return
    if (!sayable(value, said)) {
      setWrong(said.trim() === '' ? 'Read it and enter it.' : `"${said.trim()}" is not a value.`)
    } else if (agrees(value, said)) {
      dropText()
      onSay(said.trim())
    } else {
      setDiffers(said.trim())
    }
  }
  useHotkeys(value.choices.map((c, n) => [`alt+${n + 1}`, () => differs === '' && say(c)]))
  if (differs) {
    return (
      <div className={classes.differs} role="alert">
        <p>
          <b>{differs}</b> is not today's: it is <b>{value.shown}</b>, by {value.from}.
        </p>
        {because ? (
          <WordsForm
            draft={`${draft}/differs`}
            label="Why is it different? It hangs as a tag."
            action={`It is ${differs}`}
            onCancel={() => setBecause(false)}
            onSay={(words) => {
              dropText()
              onDiffer(differs, words)
            }}
          />
        ) : (
          <div className={classes.ways}>
            <Action hotkey="x" main onAct={() => setDiffers('')}>
              Look and say it again
            </Action>
            <Action hotkey="v" onAct={() => setBecause(true)}>
              It is so, say why
            </Action>
          </div>
        )}
      </div>
    )
  }
  if (value.choices.length > 0) {
    return (
      <div className={classes.choices} role="group" aria-label={`What is seen, ${name}`} data-step={step}>
        {value.choices.map((c, n) => (
          <Button key={c} size="arm" disabled={disabled} onClick={() => say(c)} rightSection={<Key>alt {n + 1}</Key>}>
            {c}
          </Button>
        ))}
      </div>
    )
  }
  return (
    <form
      className={classes.form}
      data-step={step}
      onSubmit={(e) => {
        e.preventDefault()
        say(text)
      }}
    >
      <Input
        error={wrong !== ''}
        classNames={FIELD}
        aria-label={`What is seen, ${name}`}
        aria-invalid={wrong !== ''}
        aria-describedby={wrong ? 'seen-wrong' : undefined}
        inputMode="decimal"
        autoComplete="off"
        value={text}
        disabled={disabled}
        onChange={(e) => {
          setText(e.currentTarget.value)
          setWrong('')
        }}
      />
      <Action hotkey="Space" shown="space" main disabled={disabled} onAct={() => say(text)}>
        Say it
      </Action>
      {wrong && (
        <b id="seen-wrong" role="alert">
          {wrong}
        </b>
      )}
    </form>
  )
}
