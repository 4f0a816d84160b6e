/** A whole number with its thousands set apart, as crews read it. */
export const grouped = (n: number): string => String(Math.round(n)).replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f')

export const metres = (m: number): string => `${grouped(m)} m`

/** As it was typed, where it is a long number with its thousands set apart. */
export const written = (value: string): string =>
  value === 'FULL' ? 'whole' : /^\d{4,}$/.test(value) && !value.startsWith('0') ? grouped(Number(value)) : value

export const first = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
