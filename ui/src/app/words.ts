/** A whole number with its thousands set apart, as crews read it. */
export const grouped = (n: number): string => String(Math.round(n)).replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f')

export const metres = (m: number): string => `${grouped(m)} m`

/** The same words with no number parted from itself or from its unit at the end of a line. */
export const together = (words: string): string => words.replace(/(\d) (?=\d|ft\b|kt\b|m\b|kg\b|°)/g, '$1\u00a0')

/** As a sentence begins. */
export const first = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
