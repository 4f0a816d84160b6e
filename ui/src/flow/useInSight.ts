import { useEffect, useRef } from 'react'

/** Brings the head of a step into sight when another step is at hand, and moves nothing where it is in sight. */
export const useInSight = <E extends HTMLElement>(step: string | undefined) => {
  const head = useRef<E>(null)
  useEffect(() => {
    // Newer browsers give back a promise, which an effect must not.
    void head.current?.scrollIntoView({ block: 'nearest' })
  }, [step])
  return head
}
