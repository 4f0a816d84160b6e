import { Button } from '@mantine/core'
import { useState } from 'react'

interface SureProps {
  words: string
  /** What a second press does, in words. */
  again: string
  onSure: () => void
}

/** A button whose second press does it: what cannot be taken back is not done by a slip. */
export const Sure = ({ words, again, onSure }: SureProps) => {
  const [asked, setAsked] = useState(false)
  return (
    <Button
      size="desk"
      onBlur={() => setAsked(false)}
      onClick={() => {
        if (asked) onSure()
        setAsked(!asked)
      }}
    >
      {asked ? again : words}
    </Button>
  )
}
