import type { ItemView } from '../api.gen'
import { Action } from '../app/Action'
import type { Live } from '../live/useDeparture'
import { Course } from './Course'
import { MeasureForm } from './MeasureForm'
import { ValueForm } from './ValueForm'

interface AnswerProps {
  live: Live
  item: ItemView
  /** What is said of a plain step. */
  label: string
  disabled: boolean
  /** Whether it is the one thing to do now. */
  main: boolean
  /** What is said, as the kinds of event it is made of, in order. */
  onSay: (...said: Saying[]) => void
}

/** An event's kind, and what it says besides its step. */
export type Saying = [kind: string, body: Record<string, unknown>]

/** How a step is answered: with what is read, with what today gives, part by part, or with a press. */
export const Answer = ({ live, item, label, disabled, main, onSay }: AnswerProps) => {
  const draft = `${live.view.header.id}/${item.id}`
  const value = live.view.progress.values[item.id]
  const done = () => onSay(['step-done', {}])
  if (item.measure) {
    return (
      <MeasureForm
        key={item.id}
        draft={`${draft}/value`}
        measure={item.measure}
        allowed={live.view.progress.allowed[item.id]}
        disabled={disabled}
        onValue={(read) => onSay(['measured', { value: read }])}
      />
    )
  }
  if (value?.back) {
    return (
      <ValueForm
        key={item.id}
        draft={`${draft}/seen`}
        step={item.id}
        name={item.challenge}
        value={value}
        disabled={disabled}
        onSay={(seen) => onSay(['value-said', { value: seen }])}
        onDiffer={(seen, words) => onSay(['overridden', { words }], ['value-said', { value: seen }])}
      />
    )
  }
  if (item.course.length > 0)
    return <Course key={item.id} draft={`${draft}/course`} beats={item.course} disabled={disabled} onDone={done} />
  return (
    <Action hotkey="Space" shown="space" main={main} disabled={disabled} onAct={done}>
      {label}
    </Action>
  )
}
