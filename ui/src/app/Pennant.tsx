/** A seat as a pennant flying to its side; a bow for both. */
export const Pennant = ({ seats }: { seats: readonly string[] }) => {
  const both = seats.length > 1
  const left = seats.includes('left')
  const words = both ? 'both seats' : `${left ? 'left' : 'right'} seat`
  return (
    <svg viewBox="0 0 24 16" width="24" height="16" role="img" aria-label={words} style={{ verticalAlign: '-2px', flex: 'none' }}>
      <title>{words}</title>
      {both ? (
        <path d="M12 8 3 2v12zm0 0 9-6v12z" fill="currentColor" />
      ) : (
        <path d={left ? 'M21 1v14M21 2 4 7.500 21 12' : 'M3 1v14M3 2l17 5.500L3 12'} fill="currentColor" stroke="currentColor" strokeWidth="1.6" />
      )}
    </svg>
  )
}
