import { useContext } from 'react'
import { SeatingContext, useSeatWords, type Seating } from './seating'

const HANGING = 'M4 2h16M5.500 2 12 14 18.500 2'
const ABREAST = { left: 'M21 1v14M21 2 4 7.500 21 12', right: 'M3 1v14M3 2l17 5.500L3 12', engineer: HANGING }
const TANDEM = { left: 'M4 14h16M5.500 14 12 2 18.500 14', right: HANGING, engineer: HANGING }

/** The same shape, 24 by 16, for a drawing. */
export const pennantPath = (seating: Seating, seat: string): string =>
  (seating === 'tandem' ? TANDEM : ABREAST)[seat as keyof typeof ABREAST]

/** A seat as a pennant: flying to its side, or ahead and back; hanging for the engineer; a bow for both pilots. */
export const Pennant = ({ seats }: { seats: readonly string[] }) => {
  const seating = useContext(SeatingContext)
  const words = useSeatWords()
  const both = seats.length > 1
  const says = both ? 'both pilots' : words(seats[0] ?? 'left')
  return (
    <svg
      viewBox="0 0 24 16"
      width="24"
      height="16"
      role="img"
      aria-label={says}
      style={{ verticalAlign: '-2px', flex: 'none' }}
    >
      <title>{says}</title>
      {both ? (
        <path d="M12 8 3 2v12zm0 0 9-6v12z" fill="currentColor" />
      ) : (
        <path
          d={pennantPath(seating, seats[0] ?? 'left')}
          fill="currentColor"
          stroke="currentColor"
          strokeWidth="1.6"
        />
      )}
    </svg>
  )
}
