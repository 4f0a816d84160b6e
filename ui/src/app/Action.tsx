import { Button, type ButtonProps } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { memo, useCallback, useLayoutEffect, useRef, type ReactNode } from 'react'
import { Key } from './Key'

interface ActionProps extends Pick<ButtonProps, 'size'> {
  /** What it does, in words. */
  children: ReactNode
  /** The key that does it, as `useHotkeys` writes it. */
  hotkey: string
  /** The key as shown @default hotkey */
  shown?: string
  /** The one thing to do now. @default false */
  main?: boolean
  disabled?: boolean
  onAct: () => void
}

let pressed: KeyboardEvent | undefined

/** A press does one thing: what it did may have put another action under the same key while it is still told. */
const first = (e: KeyboardEvent): boolean => {
  const is = e !== pressed
  pressed = e
  return is
}

/** Something that can be done, by pointer or by its key, which stands beside it. */
export const Action = ({ children, hotkey, shown, main = false, disabled = false, size, onAct }: ActionProps) => {
  useHotkeys([[hotkey, (e) => !disabled && first(e) && onAct(), { preventDefault: true }]])
  // Set before what it belongs to is seen: a press never does what the button did a moment ago.
  const doing = useRef(onAct)
  useLayoutEffect(() => {
    doing.current = onAct
  })
  const act = useCallback(() => doing.current(), [])
  return (
    <Face
      variant={main ? 'main' : 'outline'}
      disabled={disabled}
      keyed={shown ?? hotkey}
      onAct={act}
      {...(size && { size })}
    >
      {children}
    </Face>
  )
}

interface FaceProps extends Pick<ButtonProps, 'size' | 'variant' | 'disabled' | 'children'> {
  keyed: string
  onAct: () => void
}

/** What is seen of it: most presses on a screen change no other button, and drawing one is not free on a phone. */
const Face = memo(({ keyed, onAct, children, ...looks }: FaceProps) => (
  <Button {...looks} onClick={onAct} rightSection={<Key>{keyed}</Key>}>
    {children}
  </Button>
))
