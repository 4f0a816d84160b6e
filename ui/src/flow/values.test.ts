import { describe, expect, it } from 'vitest'
import { agrees, sayable } from './values'

const setting = {
  shown: '1003 hPa, 29.62 inches',
  from: 'the report of QTRN',
  accepted: ['1003', '29.62'],
  choices: [],
  back: true,
}
const flaps = {
  shown: '15',
  from: 'procedures of the type',
  accepted: ['15'],
  choices: ['0', '15', '27'],
  back: true,
}

describe('what is said against what today gives', () => {
  it.each(['1003', ' 1003 ', '29.62', '29,62'])('takes %s for the setting', (said) =>
    expect(sayable(setting, said) && agrees(setting, said)).toBe(true),
  )
  it.each(['1030', '1013', '29.92', '-1003'])('does not take %s for it', (said) =>
    expect(agrees(setting, said)).toBe(false),
  )
  it.each(['', 'QNH', '1003 1003', '1e3', 'NaN'])('does not take %s for a number', (said) =>
    expect(sayable(setting, said)).toBe(false),
  )
  it('takes only the positions there are, and only the right one', () => {
    expect(flaps.choices.filter((c) => agrees(flaps, c))).toEqual(['15'])
    expect(sayable(flaps, '5')).toBe(false)
  })
  it('takes anything where today gives nothing', () => expect(agrees({ ...setting, accepted: [] }, '998')).toBe(true))
})
