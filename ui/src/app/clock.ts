import { useEffect, useState } from 'react'
import type { About } from '../api.gen'
import { stored } from './stored'

/** The server's clock less this device's, in milliseconds; the server's counts, also while it cannot be reached. */
let aheadMs = stored.get('clock/ahead', 0)

/** More than this, and the device's own clock would mislead somebody. */
const MISLEADS_MS = 3 * 60_000

/** Whether the server shows another hour than the real one, on purpose. */
let shifted = stored.get('clock/shifted', false)

export const setServerNow = (about: Pick<About, 'now' | 'shifted'>): void => {
  aheadMs = Date.parse(about.now) - Date.now()
  shifted = about.shifted
  stored.set('clock/shifted', shifted)
  stored.set('clock/ahead', aheadMs)
}

/** That this device's clock is wrong, in words; empty while it is near enough. */
export const clockIsOff = (): string => {
  if (shifted || Math.abs(aheadMs) < MISLEADS_MS) return ''
  const way = aheadMs < 0 ? 'ahead' : 'behind'
  return `This device's clock is ${span(aheadMs)} ${way}. The server's time is shown and recorded.`
}

export const serverNow = (): number => Date.now() + aheadMs

/** The server's time, anew every second. */
export const useNow = (): number => {
  const [now, setNow] = useState(serverNow)
  useEffect(() => {
    const timer = setInterval(() => setNow(serverNow()), 1000)
    return () => clearInterval(timer)
  }, [])
  return now
}

// To make one takes longer than all it is used for in a press.
const formats = new Map<string, Intl.DateTimeFormat>()

/** In a zone that this browser does not know, UTC: one row must not keep the others from being shown. */
const formatIn = (zone: string): Intl.DateTimeFormat => {
  try {
    return new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone })
  } catch {
    return new Intl.DateTimeFormat('en-GB', {
      hour: '2-digit',
      minute: '2-digit',
      timeZone: 'UTC',
      timeZoneName: 'short',
    })
  }
}

/** A time that no calendar of this browser reaches, such as of the year 999 999 999. */
const NO_TIME = '––:––'

/** Hours and minutes at an airfield. */
export const clockTime = (iso: string | number, zone: string): string => {
  const format = formats.get(zone) ?? formatIn(zone)
  formats.set(zone, format)
  const at = new Date(iso)
  return Number.isNaN(at.getTime()) ? NO_TIME : format.format(at)
}

/** A day, short: 14 Jan 2027. */
export const day = (iso: string): string => {
  const at = new Date(iso)
  return Number.isNaN(at.getTime())
    ? iso
    : new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' }).format(at)
}

/** Minutes and seconds, or hours and minutes from one hour on; always positive. */
export const span = (ms: number): string => {
  const s = Math.floor(Math.abs(ms) / 1000)
  const two = (n: number) => String(n).padStart(2, '0')
  return s >= 3600
    ? `${Math.floor(s / 3600)} h ${two(Math.floor((s % 3600) / 60))}`
    : `${Math.floor(s / 60)}:${two(s % 60)}`
}
