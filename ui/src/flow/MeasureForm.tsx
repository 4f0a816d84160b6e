import { TextInput } from '@mantine/core'
import { useRef, useState } from 'react'
import type { MeasureView } from '../api.gen'
import { Action } from '../app/Action'
import { useDraft } from '../app/useDraft'
import classes from './MeasureForm.module.css'

interface MeasureFormProps {
  /** Where the digits are kept until they are sent. */
  draft: string
  measure: MeasureView
  disabled: boolean
  onValue: (value: number) => void
}

/** A value read and entered, with a point or a comma; the server holds it against its limits. */
export const MeasureForm = ({ draft, measure, disabled, onValue }: MeasureFormProps) => {
  const [text, setText, dropText] = useDraft(draft)
  const [wrong, setWrong] = useState('')
  const input = useRef<HTMLInputElement>(null)
  const enter = () => {
    if (document.activeElement !== input.current && text.trim() === '') {
      input.current?.focus()
      return
    }
    const plain = text.trim().replace(',', '.').replace('\u2212', '-')
    if (!/^-?\d+(\.\d+)?$/.test(plain)) {
      setWrong(text.trim() === '' ? 'Read it and enter it.' : `"${text.trim()}" is not a number.`)
      return
    }
    dropText()
    onValue(Number(plain))
  }
  return (
    <form
      className={classes.form}
      onSubmit={(e) => {
        e.preventDefault()
        enter()
      }}
    >
      <TextInput
        ref={input} aria-label={`Value, ${measure.name}`} inputMode="decimal" autoComplete="off" value={text} disabled={disabled} error={wrong || undefined}
        rightSection={<span className={classes.unit}>{measure.unit}</span>} rightSectionWidth={56} placeholder={measure.limits}
        onChange={(e) => {
          setText(e.currentTarget.value)
          setWrong('')
        }}
      />
      {measure.none !== undefined && text.trim() === '' ? (
        <Action hotkey="Space" shown="space" main disabled={disabled} onAct={() => onValue(measure.none!)}>
          None
        </Action>
      ) : (
        <Action hotkey="Space" shown="space" main disabled={disabled} onAct={enter}>
          Enter the value
        </Action>
      )}
    </form>
  )
}
