// What a browser would follow of control checks: node controls.mjs MODULE ASKED ANSWERED
import { readFileSync, writeFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'

const [module, asked, answered] = process.argv.slice(2)
const { begin, add, call, picture } = await import(pathToFileURL(module).href)
const answers = JSON.parse(readFileSync(asked, 'utf8')).map(({ basis, parts, called }) => {
  begin(basis)
  return parts.map((rows, i) => {
    add(Float64Array.from(rows.map((v) => v ?? NaN)))
    if (i === 0 && called) call(called.seconds, called.axis, called.sign)
    return picture()
  })
})
writeFileSync(answered, JSON.stringify(answers))
