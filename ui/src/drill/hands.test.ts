import { expect, test } from 'vitest'
import { Hands } from './hands'

const after = (hands: Hands, seconds: number, axes: number[] = []) => {
  let at = hands.move(0, axes)
  for (let t = 0; t < seconds - 1e-9; t += 0.01) at = hands.move(0.01, axes)
  return at
}

test('a key held down moves a control to its stop, and it goes home once let go', () => {
  const hands = new Hands()
  hands.key('ArrowDown', true)
  expect(after(hands, 0.4).pitch).toBeCloseTo(50)
  expect(after(hands, 1)).toEqual({ pitch: 100, roll: 0, yaw: 0 })
  hands.key('ArrowDown', false)
  hands.key(',', true)
  expect(after(hands, 1)).toEqual({ pitch: 0, roll: 0, yaw: -100 })
  hands.letGo()
  expect(hands.move(0.01, [])).toEqual({ pitch: 0, roll: 0, yaw: 0 })
})

test('a pointer goes before a game controller, and a game controller before keys', () => {
  const hands = new Hands()
  hands.key('ArrowRight', true)
  expect(after(hands, 0.8).roll).toBe(100)
  expect(hands.move(0.01, [-0.5, 0.02, 3])).toEqual({ roll: -50, pitch: 0, yaw: 100 })
  hands.point({ roll: 20, pitch: -30 })
  expect(hands.move(0.01, [-0.5, 0.9, NaN])).toEqual({ roll: 20, pitch: -30, yaw: 98.75 })
})
