import { grouped } from '../app/words'

/** A figure as it was typed, a long number with a unit with its thousands set apart; a code is read digit by digit. */
export const written = (value: string, unit: string): string =>
  value === 'FULL'
    ? 'whole'
    : unit !== '' && /^\d{4,}$/.test(value) && !value.startsWith('0')
      ? grouped(Number(value))
      : value
