import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { DrillBegunView } from '../api.gen'
import type { Ended } from '../../../device/target/browser/controls.js'
import { Flying } from './useFlying'

/** A stand-in for the rules: keeps what it is asked, and is over after so many seconds. */
const engine = (over = Infinity) => {
  let seconds = 0
  const asked = { flown: [] as [number, number[]][], calls: [] as string[], stops: [] as boolean[] }
  return {
    asked,
    begin: () => undefined,
    add: () => undefined,
    call: () => undefined,
    picture: () => ({ words: '', travels: [], axes: [] }),
    beginDrill: () => ['pitch', 'roll', 'yaw', 'elevator'],
    flyOn: (to: number, moved: Float64Array) => {
      seconds = to
      asked.flown.push([to, [...moved]])
      return Float64Array.of(to, moved[0]!, moved[1]!, moved[2]!, moved[0]! / 5)
    },
    flown: () => seconds >= over,
    callInDrill: (axis: string, sign: number) => void asked.calls.push(`${axis} ${sign}`),
    pictureOfDrill: () => ({ words: '', travels: [], axes: [] }),
    endRound: (stopped: boolean): Ended => {
      asked.stops.push(stopped)
      const answer = { passed: 0, callsRight: 0, callsWrong: 0, complete: false, tookS: seconds }
      return { answer, right: true, words: '', missing: [], more: true, limits: 4 }
    },
  }
}

const drill = (task: DrillBegunView['task']): DrillBegunView => ({
  id: 'd',
  title: 'A type',
  task,
  seed: 1,
  rounds: 2,
  controlCheck: {
    axes: [],
    wanted: [],
    practice: { order: [], bothSticks: false, disconnected: false, standing: false, called: false },
  },
  planform: {} as DrillBegunView['planform'],
  spec: '{}',
  drill: '{}',
})

let frames: ((now: number) => void)[] = []
const pads: { connected: boolean; axes: number[]; buttons: { pressed: boolean }[] }[] = []

/** Draws one frame at a time, ms. */
const frame = (now: number) => {
  const due = frames
  frames = []
  due.forEach((f) => f(now))
}

beforeEach(() => {
  frames = []
  pads.length = 0
  vi.stubGlobal('requestAnimationFrame', (f: (now: number) => void) => frames.push(f))
  vi.stubGlobal('cancelAnimationFrame', () => undefined)
  vi.stubGlobal('navigator', { getGamepads: () => pads })
})
afterEach(() => vi.unstubAllGlobals())

const flown = (task: DrillBegunView['task'], over?: number) => {
  const rules = engine(over)
  const ends: Ended[] = []
  const flying = new Flying(
    rules,
    drill(task),
    () => undefined,
    (e) => ends.push(e),
  )
  const seen: number[] = []
  flying.moments.add((m) => seen.push(m.value('elevator')))
  return { flying, rules, ends, seen }
}

test('nothing moves before a round is begun, nor while the page was not drawn', () => {
  const { flying, rules } = flown('watch')
  frame(0)
  frame(1000)
  expect(rules.asked.flown).toEqual([])
  flying.begin()
  frame(2000)
  frame(2016)
  frame(9000)
  expect(rules.asked.flown.map(([t]) => t)).toEqual([0, 0.016, 0.116])
})

test('a round ends once, by its own end or by a stop, and the next begins from its begin', () => {
  const { flying, rules, ends } = flown('watch', 0.03)
  flying.begin()
  frame(0)
  frame(20)
  flying.call('pitch', 1)
  frame(40)
  expect(ends).toHaveLength(1)
  flying.end(true)
  flying.call('pitch', -1)
  frame(60)
  expect(rules.asked).toMatchObject({ stops: [false], calls: ['pitch 1'] })
  flying.begin()
  frame(80)
  expect(rules.asked.flown.at(-1)![0]).toBe(0)
  flying.end(true)
  expect(rules.asked.stops).toEqual([false, true])
})

test('who watches moves nothing; who moves is seen to', () => {
  const watched = flown('watch')
  watched.flying.hands.key('ArrowDown', true)
  watched.flying.begin()
  frame(0)
  frame(50)
  expect(watched.rules.asked.flown.at(-1)![1]).toEqual([0, 0, 0])

  const moved = flown('move')
  moved.flying.begin()
  moved.flying.hands.key('ArrowDown', true)
  frame(100)
  frame(180)
  expect(moved.rules.asked.flown.at(-1)![1][0]).toBeCloseTo(10)
  expect(moved.seen.at(-1)).toBeCloseTo(2)
})

test('a button held down ends one round, and stops only where something may be wrong', async () => {
  const { flying, ends, rules } = flown('both')
  const pad = { connected: true, axes: [0, 1, 0], buttons: [{ pressed: false }, { pressed: false }] }
  pads.push(pad)
  flying.begin()
  frame(0)
  expect(rules.asked.flown.at(-1)![1]).toEqual([100, 0, 0])
  pad.buttons[0]!.pressed = true
  frame(20)
  await Promise.resolve()
  expect(rules.asked.stops).toEqual([true])
  flying.begin()
  frame(40)
  await Promise.resolve()
  expect(ends).toHaveLength(1)

  const moving = flown('move')
  pad.buttons[0]!.pressed = false
  moving.flying.begin()
  frame(60)
  pad.buttons[0]!.pressed = true
  frame(80)
  await Promise.resolve()
  expect(moving.ends).toEqual([])
  pad.buttons[1]!.pressed = true
  frame(100)
  await Promise.resolve()
  expect(moving.rules.asked.stops).toEqual([false])
})
