import { useHotkeys } from '@mantine/hooks'
import type { ReactNode } from 'react'
import classes from './Action.module.css'

interface ActionProps {
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
export const Action = ({ children, hotkey, shown, main = false, disabled = false, onAct }: ActionProps) => {
  useHotkeys([[hotkey, () => !disabled && onAct(), { preventDefault: true }]])
  return (
    <button type="button" className={classes.action} data-main={main || undefined} disabled={disabled} onClick={onAct}>
      <span className={classes.words}>{children}</span>
      <kbd className={classes.key}>{shown ?? hotkey}</kbd>
    </button>
  )
}
