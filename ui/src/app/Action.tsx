import { Button, type ButtonProps } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import type { ReactNode } from 'react'
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

/** Something that can be done, by pointer or by its key, which stands beside it. */
export const Action = ({ children, hotkey, shown, main = false, disabled = false, size, onAct }: ActionProps) => {
  useHotkeys([[hotkey, () => !disabled && onAct(), { preventDefault: true }]])
  return (
    <Button
      variant={main ? 'main' : 'outline'}
      {...(size && { size })}
      disabled={disabled}
      onClick={onAct}
      rightSection={<Key>{shown ?? hotkey}</Key>}
    >
      {children}
    </Button>
  )
}
