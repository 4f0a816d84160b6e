/** The states of a step as shapes; words go with them for those who cannot see them. */
const SHAPES: Record<string, { words: string; body: React.ReactNode }> = {
  open: { words: 'open', body: <rect x="2.500" y="5" width="19" height="10" rx="2" /> },
  done: {
    words: 'done',
    body: (
      <>
        <rect x="2.500" y="5" width="19" height="10" rx="2" />
        <path d="M0 10h24" strokeWidth="5" />
      </>
    ),
  },
  part: {
    words: 'one of two has answered',
    body: (
      <>
        <rect x="2.500" y="5" width="19" height="10" rx="2" />
        <path d="M0 10h11" strokeWidth="5" />
      </>
    ),
  },
  sending: {
    words: 'not yet sent',
    body: (
      <>
        <rect x="2.500" y="5" width="19" height="10" rx="2" strokeDasharray="3 2.500" />
        <path d="M0 10h24" strokeWidth="3" strokeDasharray="4 3" />
      </>
    ),
  },
  again: { words: 'asked again', body: <path d="M4 4v6h6M4.500 9.500A8 6.500 0 1 1 7 16" /> },
  find: { words: 'find', body: <path d="M2.500 5h19v10h-5l-1-3.500-3 2-1-3-3 3.500-2.500-1-3.500 2z" /> },
  later: { words: 'put aside, to be looked at again', body: <path d="M2.500 5h19v6l-4 4h-15zM17.500 15v-4h4" /> },
  'not-today': { words: 'not today', body: <path d="M4 10h16" strokeWidth="3" /> },
}

/** How a step stands, by shape. */
export const Slot = ({ status }: { status: string }) => {
  const shape = SHAPES[status] ?? SHAPES.open!
  return (
    <svg
      viewBox="0 0 24 20"
      width="24"
      height="20"
      role="img"
      aria-label={shape.words}
      fill="none"
      stroke="currentColor"
      strokeWidth="1.9"
      strokeLinejoin="round"
      style={{ flex: 'none' }}
    >
      <title>{shape.words}</title>
      {shape.body}
    </svg>
  )
}
