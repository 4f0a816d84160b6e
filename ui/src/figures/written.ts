import { grouped } from '../app/words'

/** A figure as it was typed, a long number with its thousands set apart. */
export const written = (value: string): string =>
  value === 'FULL' ? 'whole' : /^\d{4,}$/.test(value) && !value.startsWith('0') ? grouped(Number(value)) : value
