/// <reference lib="webworker" />
import { add, begin, call, picture } from '../../../device/target/browser/controls.js'
import type { FromWorker, ToWorker } from './picture'

let part = ''
let broken = false

/** Core's own rules, beside the page: judging a minute of samples holds up no frame of the picture. */
self.onmessage = ({ data }: MessageEvent<ToWorker>) => {
  const say = (said: Omit<FromWorker, 'part'>) => self.postMessage({ part, ...said } satisfies FromWorker)
  try {
    if (data.what === 'begin') {
      part = data.part
      broken = false
      begin(data.basis)
      say({ picture: picture() })
    } else if (broken) {
      return
    } else if (data.what === 'rows') {
      add(data.rows)
      say({ picture: picture() })
    } else {
      call(data.seconds, data.axis, data.sign)
    }
  } catch (e) {
    broken = true
    say({ failed: e instanceof Error ? e.message : String(e) })
  }
}
