const TONE_HZ = 880
const TONE_S = 0.18

let audio: AudioContext | undefined

/** Calls: two short tones and, where the device can, a shake. Silent where the browser has not been touched yet. */
export const call = (): void => {
  navigator.vibrate?.([200, 100, 200])
  try {
    audio ??= new AudioContext()
    for (const at of [0, 2 * TONE_S]) {
      const tone = new OscillatorNode(audio, { frequency: TONE_HZ })
      const level = new GainNode(audio, { gain: 0.2 })
      tone.connect(level).connect(audio.destination)
      tone.start(audio.currentTime + at)
      tone.stop(audio.currentTime + at + TONE_S)
    }
  } catch {
    // A device without sound: it is seen and felt.
  }
}
