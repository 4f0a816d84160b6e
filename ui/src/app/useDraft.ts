import { useCallback, useState } from 'react'
import { stored } from './stored'

/** Text somebody is typing, kept over a reload until it is sent. Returns the text, a setter, and a way to drop it. */
export const useDraft = (key: string, otherwise = ''): [string, (text: string) => void, () => void] => {
  const name = `draft/${key}`
  const [state, setState] = useState({ name, text: stored.get(name, otherwise) })
  // Another key means another text: read it at once, not one picture later.
  const text = state.name === name ? state.text : stored.get(name, otherwise)
  const set = useCallback(
    (next: string) => {
      stored.set(name, next)
      setState({ name, text: next })
    },
    [name],
  )
  const drop = useCallback(() => {
    stored.remove(name)
    setState({ name, text: otherwise })
  }, [name, otherwise])
  return [text, set, drop]
}
