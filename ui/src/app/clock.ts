import { useEffect, useState } from 'react'

/** The server's clock less this device's, in milliseconds; the server's counts. */
let aheadMs = 0

export const setServerNow = (iso: string): void => {
  aheadMs = Date.parse(iso) - Date.now()
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

/** Hours and minutes at an airfield. */
export const clockTime = (iso: string | number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone }).format(new Date(iso))

/** Minutes and seconds, or hours and minutes from one hour on; always positive. */
export const span = (ms: number): string => {
  const s = Math.floor(Math.abs(ms) / 1000)
  const two = (n: number) => String(n).padStart(2, '0')
  return s >= 3600 ? `${Math.floor(s / 3600)} h ${two(Math.floor((s % 3600) / 60))}` : `${Math.floor(s / 60)}:${two(s % 60)}`
}
