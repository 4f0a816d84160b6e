/** Where the controls are moved to, per cent: nose up, right and right are positive. */
export interface Moved {
  pitch: number
  roll: number
  yaw: number
}

/** By a key held down a control goes from the middle to its stop in so many seconds, as by a hand. */
const TO_STOP_S = 0.8

/** What a stick on a desk shows though nobody holds it. */
const AT_REST = 0.05

const KEYS: Record<string, [keyof Moved, number]> = {
  ArrowUp: ['pitch', -100],
  ArrowDown: ['pitch', 100],
  ArrowLeft: ['roll', -100],
  ArrowRight: ['roll', 100],
  ',': ['yaw', -100],
  '.': ['yaw', 100],
}

export const moves = (key: string): boolean => key in KEYS

/** What moves the controls in a drill: keys held down, a pointer on the pad, or a game controller. */
export class Hands {
  private readonly held = new Set<string>()
  private readonly at: Moved = { pitch: 0, roll: 0, yaw: 0 }
  private pointed: Partial<Moved> = {}

  /** @param down whether it is held; letting go lets the control go home */
  key(key: string, down: boolean): void {
    if (down) this.held.add(key)
    else this.held.delete(key)
  }

  /** A pointer holds these; nothing where it let go. */
  point(to: Partial<Moved>): void {
    this.pointed = to
  }

  /** Nobody holds anything: the page has lost the keys, or a round is over. */
  letGo(): void {
    this.held.clear()
    this.pointed = {}
    Object.assign(this.at, { pitch: 0, roll: 0, yaw: 0 })
  }

  /**
   * A moment on.
   *
   * @param seconds since the last
   * @param axes of a game controller: roll, pitch and yaw as it tells them, -1 to 1; empty where there is none
   */
  move(seconds: number, axes: readonly number[]): Moved {
    const stick: Moved = { roll: axis(axes[0]), pitch: axis(axes[1]), yaw: axis(axes[2]) }
    for (const name of ['pitch', 'roll', 'yaw'] as const) {
      const pointed = this.pointed[name]
      const steer = pointed ?? (stick[name] !== 0 ? stick[name] : undefined)
      if (steer !== undefined) {
        this.at[name] = steer
        continue
      }
      let wanted = 0
      for (const key of this.held) if (KEYS[key]?.[0] === name) wanted = KEYS[key][1]
      const step = (100 / TO_STOP_S) * seconds
      this.at[name] += Math.min(step, Math.max(-step, wanted - this.at[name]))
    }
    return { ...this.at }
  }
}

const axis = (told: number | undefined): number =>
  told === undefined || !Number.isFinite(told) || Math.abs(told) < AT_REST ? 0 : Math.min(1, Math.max(-1, told)) * 100
