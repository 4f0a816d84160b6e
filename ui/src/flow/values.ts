import type { ValueView } from '../api.gen'
import { numberOf } from '../app/number'

/** Whether it is anything that can be seen there. */
export const sayable = (value: ValueView, said: string): boolean =>
  value.choices.length > 0 ? value.choices.includes(said) : numberOf(said) !== undefined

/**
 * Whether what is said is one of what the server takes for today's value, so that a device without a network can
 * tell; where that is not known, anything is.
 */
export const agrees = (value: ValueView, said: string): boolean => {
  const number = numberOf(said)
  return (
    value.accepted.length === 0 ||
    value.accepted.some((a) => a === said.trim() || (number !== undefined && numberOf(a) === number))
  )
}
