import { Button, Textarea } from '@mantine/core'
import { getHotkeyHandler } from '@mantine/hooks'
import type { ReactNode } from 'react'
import { Key } from './Key'
import classes from './WordsForm.module.css'
import { useDraft } from './useDraft'

interface WordsFormProps {
  /** Where the text is kept until it is sent. */
  draft: string
  label: string
  action: string
  /** What stands there before anything is typed @default nothing */
  begin?: string
  /** What is asked besides the words. */
  children?: ReactNode
  onSay: (words: string) => void
  onCancel: () => void
}

/** A few words, in the place of the buttons that asked for them. */
export const WordsForm = ({ draft, label, action, begin = '', children, onSay, onCancel }: WordsFormProps) => {
  const [words, setWords, drop] = useDraft(draft, begin)
  const say = () => {
    if (words.trim() === '') return
    onSay(words.trim())
    drop()
  }
  return (
    <form
      className={classes.form}
      onSubmit={(e) => {
        e.preventDefault()
        say()
      }}
    >
      <Textarea
        label={label}
        value={words}
        onChange={(e) => setWords(e.currentTarget.value)}
        autosize
        minRows={2}
        maxLength={2000}
        data-autofocus
        autoFocus
        onKeyDown={getHotkeyHandler([
          ['mod+Enter', say],
          ['Escape', onCancel],
        ])}
      />
      {children}
      <div className={classes.buttons}>
        <Button type="submit" variant="main" disabled={words.trim() === ''} rightSection={<Key>ctrl enter</Key>}>
          {action}
        </Button>
        <Button onClick={onCancel} rightSection={<Key>esc</Key>}>
          Back
        </Button>
      </div>
    </form>
  )
}
