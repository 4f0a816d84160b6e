// What a browser would work out and read: node figures.mjs MODULE ASKED ANSWERED
import { readFileSync, writeFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'

const [module, asked, answered] = process.argv.slice(2)
const { basis, figures, report, sheet } = await import(pathToFileURL(module).href)
const answers = JSON.parse(readFileSync(asked, 'utf8')).map((one) => {
  if (one.report !== undefined) return report(one.report, one.now)
  if (one.sheet !== undefined) return sheet(one.sheet)
  if (one.basis) basis(...one.basis)
  return figures(one.figures)
})
writeFileSync(answered, JSON.stringify(answers))
