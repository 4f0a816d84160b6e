import { useRef, useState } from 'react'
import type { AllowedView, MeasureView } from '../api.gen'
import { Action } from '../app/Action'
import { numberOf } from '../app/number'
import { useDraft } from '../app/useDraft'
import classes from './MeasureForm.module.css'

interface MeasureFormProps {
  /** Where the digits are kept until they are sent. */
  draft: string
  measure: MeasureView
  /** What is right now, as far as the rest is known. */
  allowed: AllowedView | undefined
  disabled: boolean
  onValue: (value: number) => void
}

/** A value read and entered, with a point or a comma; the server holds it against its limits. */
export const MeasureForm = ({ draft, measure, allowed, disabled, onValue }: MeasureFormProps) => {
  const [text, setText, dropText] = useDraft(draft)
  const [wrong, setWrong] = useState('')
  // The pack's limits, where today makes no others.
  const limits = !allowed || measure.none !== undefined || allowed.words === measure.limits ? measure.limits : `Today ${allowed.words}`
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
          ref={input} aria-label={`Value, ${measure.name}`} aria-invalid={wrong !== ''} aria-describedby={[limits && 'value-limits', wrong && 'value-wrong'].filter(Boolean).join(' ') || undefined} inputMode="decimal" autoComplete="off"
          value={text} disabled={disabled}
          onChange={(e) => {
            setText(e.currentTarget.value)
            setWrong('')
          }}
        />
        <span className={classes.unit}>{measure.unit}</span>
        {limits && <span id="value-limits" className={classes.limits}>{limits}</span>}
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
