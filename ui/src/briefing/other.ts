/** Some words with the part that is not as it was. */
export interface Parted {
  before: string
  other: string
  after: string
}

/** Where two texts part and meet again, by whole words; all of it where they have no word at either end in common. */
export const parted = (words: string, was: string): Parted => {
  const a = words.split(' ')
  const b = was.split(' ')
  let from = 0
  while (from < a.length && from < b.length && a[from] === b[from]) from++
  let to = 0
  while (to < a.length - from && to < b.length - from && a[a.length - 1 - to] === b[b.length - 1 - to]) to++
  return {
    before: a.slice(0, from).join(' '),
    other: a.slice(from, a.length - to).join(' '),
    after: a.slice(a.length - to).join(' '),
  }
}
