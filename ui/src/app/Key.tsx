import type { ReactNode } from 'react'
import classes from './Key.module.css'

/** The key that does what stands beside it; a phone has none and shows none. */
export const Key = ({ children }: { children: ReactNode }) => <kbd className={classes.key}>{children}</kbd>
