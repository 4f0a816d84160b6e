import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { CallView, CheckUnderWayView } from '../api.gen'
import { ask } from '../app/api'
import { catchUp, checkOf, heardCall, heardOfCheck, heardSamples } from './samples'

vi.mock('../app/api', () => ({ ask: vi.fn() }))

const asked = vi.mocked(ask)
const row = (seconds: number): (number | null)[] => [seconds, 10 * seconds, null]
const rows = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => row(from + i))

const told = (check: number, values: (number | null)[][]): { check: CheckUnderWayView } => ({
  check: {
    check,
    stands: 'under-way',
    channels: ['roll', 'rudder'],
    spec: '{"hold-s":1}',
    practice: { order: [], bothSticks: false, disconnected: false, standing: true, called: true },
    values: values as number[][],
    calls: [],
  },
})

const call = (seconds: number, sign: number): CallView => ({ check: 7, seconds, axis: 'roll', sign, by: 'Adeyo' })

let number = 100
let departure = ''

beforeEach(() => {
  departure = `today-${number++}`
  asked.mockReset()
})

const seconds = () => checkOf(departure)?.rows.map((r) => r[0])

describe('the samples of a check', () => {
  it('are all asked for by a device that comes late, and what comes meanwhile is not lost', async () => {
    let answer: (now: unknown) => void = () => undefined
    asked.mockReturnValueOnce(new Promise((resolve) => (answer = resolve)))
    heardSamples(departure, { check: 7, from: 4, values: rows(4, 6) })
    heardSamples(departure, { check: 7, from: 6, values: rows(6, 8) })
    expect(checkOf(departure)).toBeUndefined()
    answer(told(7, rows(0, 5)))
    await vi.waitFor(() => expect(seconds()).toEqual([0, 1, 2, 3, 4, 5, 6, 7]))
    expect(asked).toHaveBeenCalledTimes(1)
    expect(JSON.parse(checkOf(departure)!.basis)).toMatchObject({
      spec: { 'hold-s': 1 },
      channels: ['roll', 'rudder'],
    })
  })

  it('are asked for again where something was missed', async () => {
    asked.mockResolvedValueOnce(told(7, rows(0, 3)))
    await catchUp(departure)
    asked.mockResolvedValueOnce(told(7, rows(0, 9)))
    heardSamples(departure, { check: 7, from: 5, values: rows(5, 6) })
    await vi.waitFor(() => expect(seconds()).toHaveLength(9))
  })

  it('come again without being taken twice', async () => {
    asked.mockResolvedValueOnce(told(7, rows(0, 5)))
    await catchUp(departure)
    heardSamples(departure, { check: 7, from: 3, values: rows(3, 7) })
    expect(seconds()).toEqual([0, 1, 2, 3, 4, 5, 6])
  })

  it('stay when the link breaks off, but for the movement that is made again', async () => {
    asked.mockResolvedValueOnce(told(7, rows(0, 6)))
    await catchUp(departure)
    heardCall(departure, call(1.5, 1))
    heardCall(departure, call(4.5, -1))
    const kept = told(7, rows(0, 3))
    asked.mockResolvedValueOnce({ check: { ...kept.check, stands: 'broken-off', calls: [call(1.5, 1)] } })
    heardOfCheck(departure, { check: 7, stands: 'broken-off' })
    await vi.waitFor(() => expect(seconds()).toEqual([0, 1, 2]))
    const { part } = checkOf(departure)!
    heardSamples(departure, { check: 7, from: 3, values: [row(9), row(10)] })
    expect(seconds()).toEqual([0, 1, 2, 9, 10])
    expect(checkOf(departure)).toMatchObject({ stands: 'under-way', calls: [{ sign: 1 }] })
    expect(checkOf(departure)!.part).not.toBe(part)
  })

  it('that nobody tells of any more are not waited for', async () => {
    asked.mockResolvedValueOnce(told(7, rows(0, 6)))
    await catchUp(departure)
    asked.mockResolvedValueOnce({})
    await catchUp(departure)
    expect(checkOf(departure)?.stands).toBe('ended')
  })

  it('of another check are not mixed with these, and a refused question is asked anew', async () => {
    asked.mockRejectedValueOnce(new Error('nobody there'))
    await catchUp(departure)
    asked.mockResolvedValueOnce(told(8, rows(0, 2)))
    heardCall(departure, { check: 7, seconds: 1, axis: 'yaw', sign: 0, by: 'Marsk' })
    heardOfCheck(departure, { check: 7, stands: 'ended' })
    heardSamples(departure, { check: 8, from: 1, values: rows(1, 3) })
    await vi.waitFor(() => expect(checkOf(departure)).toMatchObject({ number: 8, stands: 'under-way', calls: [] }))
    expect(seconds()).toEqual([0, 1, 2])
  })
})
