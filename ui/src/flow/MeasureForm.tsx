import { Input } from '@mantine/core'
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

/** Always the same, so that a field is not dressed anew with each digit. */
const FIELD = { input: classes.field!, section: classes.unit! }

/** A value read and entered, with a point or a comma; the server holds it against its limits. */
export const MeasureForm = ({ draft, measure, allowed, disabled, onValue }: MeasureFormProps) => {
  const [text, setText, dropText] = useDraft(draft)
  const [wrong, setWrong] = useState('')
  // The pack's limits, where today makes no others.
  const limits =
    !allowed || measure.none !== undefined || allowed.words === measure.limits
      ? measure.limits
      : `Today ${allowed.words}`
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
      {limits && (
        <span id="value-limits" className={classes.limits}>
          {limits}
        </span>
      )}
      <Input
        ref={input}
        aria-label={`Value, ${measure.name}`}
        aria-invalid={wrong !== ''}
        error={wrong !== ''}
        aria-describedby={[limits && 'value-limits', wrong && 'value-wrong'].filter(Boolean).join(' ') || undefined}
        inputMode="decimal"
        autoComplete="off"
        value={text}
        disabled={disabled}
        classNames={FIELD}
        rightSection={measure.unit}
        rightSectionWidth="auto"
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
      {wrong && (
        <b id="value-wrong" role="alert">
          {wrong}
        </b>
      )}
    </form>
  )
}
