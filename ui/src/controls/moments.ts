import { useEffect, useMemo } from 'react'
import { checkOf, type Check } from '../live/samples'
import { Playback, type Moment } from './playback'

interface Told {
  check: Check
  moment: Moment
}

type Draw = (moment: Moment, check: Check) => void

/** Tells each frame of a check to all that draw it, so that they draw the same one; nothing where nothing moved on. */
export class Moments {
  private readonly draws = new Set<Draw>()
  private asked = 0
  private drawn = ''

  /** @param next what there is to draw at a frame, ms; nothing where nothing is */
  constructor(private readonly next: (now: number) => Told | undefined) {}

  add(draw: Draw): () => void {
    this.draws.add(draw)
    this.drawn = ''
    if (!this.asked) this.run()
    return () => {
      this.draws.delete(draw)
      if (this.draws.size > 0) return
      cancelAnimationFrame(this.asked)
      this.asked = 0
    }
  }

  private run() {
    const step = (now: number) => {
      this.asked = requestAnimationFrame(step)
      const told = this.next(now)
      if (!told) return
      const { check, moment } = told
      const drawn = `${check.number}/${check.part}/${moment.seconds}`
      if (drawn === this.drawn) return
      this.drawn = drawn
      this.draws.forEach((d) => d(moment, check))
    }
    this.asked = requestAnimationFrame(step)
  }
}

/** The moments of a departure's check, as its samples come. */
export const useMoments = (departure: string): Moments =>
  useMemo(() => {
    const playback = new Playback()
    return new Moments((now) => {
      const check = checkOf(departure)
      const moment = check && playback.frame(check, now)
      return check && moment && { check, moment }
    })
  }, [departure])

/** Draws while it is mounted. @param draw the same function as long as it draws the same */
export const useDrawn = (moments: Moments, draw: Draw): void => useEffect(() => moments.add(draw), [moments, draw])
