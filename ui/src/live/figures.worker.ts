/// <reference lib="webworker" />
import { basis, figures } from '../../../device/target/browser/figures.js'
import type { Ask, Answer } from './figuresHere'

/** By which texts it works. */
let held = ''

/** Core's own rules, beside the page: what they take to read a type's tables holds up no press. */
self.onmessage = ({ data: { texts, asked } }: MessageEvent<Ask>) => {
  const answer = (a: Omit<Answer, 'asked'>) => self.postMessage({ asked, ...a } satisfies Answer)
  try {
    const by = texts.join('\0')
    if (by !== held) basis(...texts)
    held = by
    answer({ worked: figures(asked) })
  } catch (e) {
    held = ''
    answer({ failed: e instanceof Error ? e.message : String(e) })
  }
}
