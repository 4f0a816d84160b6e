import { describe, expect, it } from 'vitest'
import { parted } from './other'

describe('what is not as it was', () => {
  it.each([
    ['V1 89 kt, then go.', 'V1 91 kt, then go.', 'V1|89|kt, then go.'],
    ['V1 89 kt', 'V1 kt', 'V1|89|kt'],
    ['V1 kt', 'V1 89 kt', 'V1||kt'],
    ['a a', 'a', 'a|a|'],
    ['one', 'two', '|one|'],
    ['same', 'same', 'same||'],
  ])('of %s against %s', (words, was, wanted) => {
    const { before, other, after } = parted(words, was)
    expect(`${before}|${other}|${after}`).toBe(wanted)
    expect([before, other, after].filter(Boolean).join(' ')).toBe(words)
  })
})
