import { Button, Input } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import type { FigureView } from '../api.gen'
import { Action } from '../app/Action'
import { Key } from '../app/Key'
import { useDraft } from '../app/useDraft'
import { first } from '../app/words'
import { written } from './written'
import classes from './Figures.module.css'

interface EntryFormProps {
  /** Where the digits are kept until they are sent. */
  draft: string
  figure: FigureView
  /** What can be entered; empty where it is typed. */
  choices: string[]
  /** What the other typed, where one types and the other looks. */
  typed: string | undefined
  /** Whether one types and the other looks, so that nothing is covered. */
  oneTypes: boolean
  onEnter: (value: string) => void
}

/** Digits alone are typed here: any other sign is the key of something else on the screen, and does that. */
const othersAreKeys = (e: KeyboardEvent<HTMLInputElement>) => {
  const { key, code, shiftKey } = e
  if (key.length !== 1 || /[\d.,\u2212\s-]/.test(key) || e.ctrlKey || e.altKey || e.metaKey) return
  e.preventDefault()
  e.currentTarget.blur()
  document.documentElement.dispatchEvent(
    new globalThis.KeyboardEvent('keydown', { key, code, shiftKey, bubbles: true }),
  )
}

const FIELD = { input: classes.field!, section: classes.unit! }

/** One figure, entered alone: digits with their unit beside them, or one of a few. */
export const EntryForm = ({ draft, figure: f, choices, typed, oneTypes, onEnter }: EntryFormProps) => {
  const [text, setText, dropText] = useDraft(draft)
  const [wrong, setWrong] = useState('')
  const input = useRef<HTMLInputElement>(null)
  // Without moving the page: what is above it is looked at too.
  useEffect(() => input.current?.focus({ preventScroll: true }), [])
  const enter = (value: string) => {
    const said = value.trim()
    const plain = f.digits ? said.replace(/[\s\u202f\u00a0]/g, '') : said.toUpperCase()
    if (said === '') {
      if (document.activeElement !== input.current) input.current?.focus()
      else setWrong('Read it from your own source and enter it.')
    } else if (f.digits && !/^[-\u2212]?\d{1,7}([.,]\d{1,3})?$/.test(plain)) {
      setWrong(`"${said}" is no figure.`)
    } else if (plain.length > 12) {
      setWrong('At most 12 digits or letters.')
    } else {
      dropText()
      setWrong('')
      onEnter(plain)
    }
  }
  useHotkeys(choices.map((c, n) => [`alt+${n + 1}`, () => enter(c)]))
  const alone =
    typed !== undefined
      ? `The other pilot typed it; hold it against your own source.`
      : oneTypes
        ? 'Type it; the other pilot holds it against a source of their own.'
        : f.entries.length > 0
          ? 'The other pilot has entered it. It stays covered until you have too.'
          : 'Each alone, compared. It is covered until both have entered.'
  return (
    <form
      className={classes.enter}
      onSubmit={(e) => {
        e.preventDefault()
        enter(text)
      }}
    >
      <h2>{f.words}</h2>
      <p>{alone}</p>
      {typed !== undefined && (
        <Action hotkey="Space" shown="space" main onAct={() => enter(typed)}>
          {written(typed, f.unit)} {f.unit} is right
        </Action>
      )}
      {choices.length > 0 ? (
        <div className={classes.choices} role="group" aria-label={first(f.words)}>
          {choices.map((c, n) => (
            <Button key={c} size="arm" onClick={() => enter(c)} rightSection={<Key>alt {n + 1}</Key>}>
              {c === 'FULL' ? 'Whole runway' : c}
            </Button>
          ))}
        </div>
      ) : (
        <>
          <Input
            key={f.figure}
            ref={input}
            error={wrong !== ''}
            classNames={FIELD}
            aria-label={first(f.words)}
            aria-invalid={wrong !== ''}
            inputMode={f.digits ? 'decimal' : 'text'}
            autoComplete="off"
            value={text}
            rightSection={f.unit}
            rightSectionWidth={60}
            onKeyDown={f.digits ? othersAreKeys : undefined}
            onChange={(e) => {
              setText(e.currentTarget.value)
              setWrong('')
            }}
          />
          <Button type="submit" variant="main" size="arm" rightSection={<Key>enter</Key>}>
            Enter
          </Button>
        </>
      )}
      {wrong && <b role="alert">{wrong}</b>}
    </form>
  )
}
