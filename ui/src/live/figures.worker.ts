/// <reference lib="webworker" />
import { basis, figures, report, sheet } from '../../../device/target/browser/figures.js'
import type { Answer, Question } from './here'

/** By which texts it works. */
let held = ''

const hold = (texts: [string, string, string, string, string]) => {
  const by = texts.join('\0')
  if (by === held) return
  held = ''
  basis(...texts)
  held = by
}

/** Core's own rules, beside the page: what they take to read a type's tables holds up no press. */
self.onmessage = ({ data }: MessageEvent<Question & { number: number }>) => {
  const answer = (a: Omit<Answer, 'number'>) => self.postMessage({ number: data.number, ...a } satisfies Answer)
  try {
    if (data.what === 'figures') {
      hold(data.texts)
      answer({ told: figures(data.asked) })
    } else answer({ told: data.what === 'report' ? report(data.text, data.now) : sheet(data.text) })
  } catch (e) {
    answer({ failed: e instanceof Error ? e.message : String(e) })
  }
}
