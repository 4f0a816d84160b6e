import { useRef, useState } from 'react'
import type { MeasureView } from '../api.gen'
import { Action } from '../app/Action'
import { numberOf } from '../app/number'
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
    const value = numberOf(text)
    if (value === undefined) {
      setWrong(text.trim() === '' ? 'Read it and enter it.' : `"${text.trim()}" is not a number.`)
      return
    }
    dropText()
    onValue(value)
  }
  return (
    <form
      className={classes.form}
      onSubmit={(e) => {
        e.preventDefault()
        enter()
      }}
    >
      {/* The browser's own field: one comes and goes with each step of the walk, and a slow phone must show it at once. */}
      <label className={classes.field} data-wrong={wrong !== '' || undefined}>
        <input
          ref={input} aria-label={`Value, ${measure.name}`} aria-invalid={wrong !== ''} aria-describedby={wrong ? 'value-wrong' : undefined} inputMode="decimal" autoComplete="off"
          value={text} disabled={disabled} placeholder={measure.limits}
          onChange={(e) => {
            setText(e.currentTarget.value)
            setWrong('')
          }}
        />
        <span className={classes.unit}>{measure.unit}</span>
        {wrong && (
          <b id="value-wrong" role="alert">
            {wrong}
          </b>
        )}
      </label>
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
