// What the browser would work out: node figures.mjs MODULE ASKED ANSWERED
import { readFileSync, writeFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'

const [module, asked, answered] = process.argv.slice(2)
const { basis, figures } = await import(pathToFileURL(module).href)
const answers = JSON.parse(readFileSync(asked, 'utf8')).map(({ texts, all }) => {
  basis(texts.typeFigures, texts.takeoffTables, texts.holdover, texts.airfield)
  return all.map((one) => {
    try {
      return figures(one)
    } catch (e) {
      return { threw: e.message }
    }
  })
})
writeFileSync(answered, JSON.stringify(answers.flat()))
