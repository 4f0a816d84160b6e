import { createContext, useContext } from 'react'
import type { Header } from '../api.gen'

export type Seating = Header['seating']

const TANDEM: Record<string, string> = { left: 'front', right: 'rear' }

/** How the pilots of the type in sight sit. */
export const SeatingContext = createContext<Seating>('abreast')

/** What the seats of the type in sight are called, such as "front seat". */
export const useSeatWords = (): ((seat: string) => string) => {
  const seating = useContext(SeatingContext)
  return (seat) => seatWords(seating, seat)
}

export const seatWords = (seating: Seating, seat: string): string =>
  seat === 'engineer' ? "engineer's seat" : `${(seating === 'tandem' && TANDEM[seat]) || seat} seat`
