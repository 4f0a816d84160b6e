const SHAPES: Record<string, { words: string; path: string }> = {
  left: { words: 'left seat', path: 'M21 1v14M21 2 4 7.500 21 12' },
  right: { words: 'right seat', path: 'M3 1v14M3 2l17 5.500L3 12' },
  engineer: { words: "engineer's seat", path: 'M4 2h16M5.500 2 12 14 18.500 2' },
}

/** The same shape, 24 by 16, for a drawing. */
export const pennantPath = (seat: string): string => (SHAPES[seat] ?? SHAPES.left!).path

/** A seat as a pennant: flying to its side, hanging for the engineer; a bow for both pilots. */
export const Pennant = ({ seats }: { seats: readonly string[] }) => {
  const both = seats.length > 1
  const shape = SHAPES[seats[0] ?? ''] ?? SHAPES.left!
  const words = both ? 'both pilots' : shape.words
  return (
    <svg
      viewBox="0 0 24 16"
      width="24"
      height="16"
      role="img"
      aria-label={words}
      style={{ verticalAlign: '-2px', flex: 'none' }}
    >
      <title>{words}</title>
      {both ? (
        <path d="M12 8 3 2v12zm0 0 9-6v12z" fill="currentColor" />
      ) : (
        <path d={shape.path} fill="currentColor" stroke="currentColor" strokeWidth="1.6" />
      )}
    </svg>
  )
}
