/** A number as people write it, with a point or a comma; undefined when it is none. */
export const numberOf = (text: string): number | undefined => {
  const plain = text.trim().replace(',', '.').replace('\u2212', '-')
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : undefined
}
