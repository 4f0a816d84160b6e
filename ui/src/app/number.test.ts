import { describe, expect, it } from 'vitest'
import { numberOf } from './number'

describe('a number as people write it', () => {
  it.each([
    ['12', 12],
    [' 12.5 ', 12.5],
    ['12,5', 12.5],
    ['-3', -3],
    ['\u22123', -3],
    ['0', 0],
  ])('%s is %d', (text, is) => expect(numberOf(text)).toBe(is))
  it.each(['', ' ', '1.2.3', '1 850', '1e9', 'twelve', '.', '12.', '--3', '0x10', 'Infinity'])(
    '"%s" is none',
    (text) => expect(numberOf(text)).toBeUndefined(),
  )
})
