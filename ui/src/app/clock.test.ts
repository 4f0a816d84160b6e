import { describe, expect, it } from 'vitest'
import { clockIsOff, clockTime, day, serverNow, setServerNow, span } from './clock'

const SECOND = 1000
const MINUTE = 60 * SECOND

describe('times', () => {
  it.each([
    [0, '0:00'],
    [59 * SECOND, '0:59'],
    [-61 * SECOND, '1:01'],
    [59 * MINUTE + 59 * SECOND, '59:59'],
    [60 * MINUTE, '1 h 00'],
    [135 * MINUTE, '2 h 15'],
  ])('%d ms reads %s', (ms, reads) => expect(span(ms)).toBe(reads))

  it('are those of the airfield, whatever the device thinks', () => {
    expect(clockTime('2027-01-14T07:25:00Z', 'Europe/Oslo')).toBe('08:25')
    expect(clockTime('2027-07-14T07:25:00Z', 'Europe/Oslo')).toBe('09:25')
  })

  it('count by the server, and a device that is an hour wrong is told so', () => {
    setServerNow({ now: new Date(Date.now() - 60 * MINUTE).toISOString(), shifted: false })
    expect(Math.abs(serverNow() - (Date.now() - 60 * MINUTE))).toBeLessThan(SECOND)
    expect(clockIsOff()).toContain('ahead')
    setServerNow({ now: new Date(Date.now() + 60 * MINUTE).toISOString(), shifted: false })
    expect(clockIsOff()).toContain('behind')
    setServerNow({ now: new Date(Date.now() + MINUTE).toISOString(), shifted: false })
    expect(clockIsOff()).toBe('')
    setServerNow({ now: new Date(Date.now() + 60 * MINUTE).toISOString(), shifted: true })
    expect(clockIsOff()).toBe('')
  })

  it('that the browser does not know show as something', () => {
    expect(clockTime('2027-01-14T08:05:00Z', 'Europe/Oslo')).toBe('09:05')
    expect(clockTime('2027-01-14T08:05:00Z', 'Z')).toBe('08:05 UTC')
    expect(clockTime('+999999999-12-31T23:59:59Z', 'UTC')).toBe('––:––')
    expect(day('+999999999-12-31T23:59:59Z')).toBe('+999999999-12-31T23:59:59Z')
  })
})
