// How long a browser's engine takes: ./lanyard bench device
import { readFileSync } from 'node:fs'
import { basis, figures } from '../../../target/browser/figures.js'

const root = new URL('../../../../', import.meta.url)
const text = (file) => readFileSync(new URL(file, root), 'utf8')
const took = (what) => {
  const began = performance.now()
  what()
  return performance.now() - began
}
const median = (all) => all.sort((a, b) => a - b)[Math.floor(all.length / 2)].toFixed(1)

for (const [type, tail, from, weights] of [
  ['dovrin-46', 'TL-DVA', 'QTRN', [15290, 28.5, 2060, 60, 640]],
  ['halyard-210', 'TL-HYB', 'QBRN', [57640, 22.4, 10800, 200, 6900]],
]) {
  const airfields = text('demo/fleet.yaml').replace(/\n {4}take-off-alternate:.*/g, '')
  const blocks = airfields.split(/\n(?= {2}- id: Q)/)
  const airfield = blocks.find((b) => b.startsWith(`  - id: ${from}`)).split(/\n(?=\S)/)[0]
  const file = `format: neat-lanyard/fleet/1\noperator: Somebody\nairfields:\n${airfield}\n`
  const texts = [`demo/figures/${type}.yaml`, `demo/figures/${type}-take-off.yaml`, 'demo/figures/holdover.yaml'].map(text)
  const [zeroFuel, percent, fuel, taxi, trip] = weights
  const asked = JSON.stringify({
    flight: 'Flight 1',
    tail,
    type,
    day: '2027-01-14',
    from,
    report: { text: `METAR ${from} 140720Z 24012KT 9000 BKN025 08/04 Q1003`, observed: '2027-01-14T07:20:00Z' },
    said: [
      { kind: 'runway-reported', body: { condition: { thirds: [{ contaminant: 'dry' }] } } },
      {
        kind: 'load-sheet-taken',
        body: {
          source: 'the bench',
          sheet: {
            flight: 'Flight 1',
            tail,
            day: '2027-01-14',
            edition: 1,
            stated: { 'zero-fuel-kg': zeroFuel, 'zero-fuel-percent': percent },
            'fuel-kg': { left: fuel / 2, right: fuel / 2 },
            'taxi-fuel-kg': taxi,
            'trip-fuel-kg': trip,
          },
        },
      },
    ],
    asked: [],
    settled: {},
  })
  const read = took(() => basis(...texts, file, ''))
  const first = took(() => figures(asked))
  const times = Array.from({ length: 200 }, () => took(() => figures(asked)))
  if (!figures(asked).worked?.runway) throw new Error(`${type}: ${figures(asked).missing}`)
  console.log(
    `${type}: texts read in ${read.toFixed(0)} ms, figures the first time in ${first.toFixed(0)} ms, then ${median(times)} ms at the median of 200`,
  )
}
