/** A whole number with its thousands set apart, as crews read it. */
export const grouped = (n: number): string => String(Math.round(n)).replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f')

export const metres = (m: number): string => `${grouped(m)} m`

/** As a sentence begins. */
export const first = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
