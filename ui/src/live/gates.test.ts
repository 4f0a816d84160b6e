import { describe, expect, it } from 'vitest'
import type { GateView, Progress } from '../api.gen'
import { serverNow } from '../app/clock'
import { closedBy } from './gates'

const inSeconds = (s: number): string => new Date(serverNow() + s * 1000).toISOString()
const first: GateView = {
  words: 'Before it comes Fire warning: proven.',
  before: 'fire',
  waits: false,
  ofStage: false,
}
const wait = (s: number): GateView => ({
  words: 'Wait: APU',
  before: 'apu',
  waits: true,
  ofStage: false,
  until: inSeconds(s),
})
const late: GateView = { words: 'Before it must be gone: Chocks in.', before: '', waits: false, ofStage: true }

const progress = (gates: GateView[], settled: string[] = []): Progress =>
  ({
    gates: { step: gates },
    steps: Object.fromEntries(settled.map((s) => [s, { settled: true }])),
  }) as unknown as Progress

describe('what keeps a step closed', () => {
  it('is nothing where nothing is told', () => expect(closedBy(progress([]), 'other')).toEqual([]))
  it('is what comes before it, until that is said here, told or not', () => {
    expect(closedBy(progress([first]), 'step')).toEqual([first])
    expect(closedBy(progress([first], ['fire']), 'step')).toEqual([])
    expect(closedBy(progress([first]), 'step', new Set(['fire']))).toEqual([])
  })
  it('is a time until it has run out, whatever is said of the step that began it', () => {
    const running = wait(60)
    expect(closedBy(progress([running], ['apu']), 'step')).toEqual([running])
    expect(closedBy(progress([wait(-1)]), 'step')).toEqual([])
    const { until: _, ...notBegun } = running
    expect(closedBy(progress([notBegun]), 'step', new Set(['apu']))).toEqual([notBegun])
  })
  it('is a tag that is late, which no step of the card may close', () =>
    expect(closedBy(progress([late, first], ['fire']), 'step')).toEqual([late]))
})
