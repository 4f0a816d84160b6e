// What a browser would show of drills: node drill.mjs MODULE ASKED ANSWERED
import { readFileSync, writeFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'

const [module, asked, answered] = process.argv.slice(2)
const { beginDrill, flyOn, callInDrill, pictureOfDrill, endRound } = await import(pathToFileURL(module).href)
const answers = JSON.parse(readFileSync(asked, 'utf8')).map(({ basis, rounds }) => ({
  channels: beginDrill(basis),
  rounds: rounds.map(({ frames, callAt, stops }) => {
    const rows = frames.map(([seconds, ...moved], i) => {
      if (i === callAt) callInDrill('pitch', 1)
      return [...flyOn(seconds, Float64Array.from(moved))]
    })
    return { last: rows.at(-1), picture: pictureOfDrill(), answer: endRound(stops) }
  }),
}))
writeFileSync(answered, JSON.stringify(answers))
