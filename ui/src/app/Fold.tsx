import { Accordion } from '@mantine/core'
import type { ReactNode } from 'react'

export interface FoldProps {
  /** The line that opens it. */
  line: ReactNode
  /** Whether it is open from the start. @default false */
  unfolded?: boolean
  /** How it looks @default soft: `boxed` says something of today, `rest` can wait, `caution` and `off` do not */
  tone?: 'soft' | 'boxed' | 'rest' | 'caution' | 'off'
  /** What a screen's own stylesheet adds. */
  className?: string
  children: ReactNode
}

/** A line that opens. */
export const Fold = ({ line, unfolded = false, tone = 'soft', className, children }: FoldProps) => (
  <Accordion
    key={String(unfolded)}
    defaultValue={unfolded ? 'fold' : null}
    data-tone={tone}
    {...(className && { className })}
  >
    <Accordion.Item value="fold">
      <Accordion.Control>{line}</Accordion.Control>
      <Accordion.Panel>{children}</Accordion.Panel>
    </Accordion.Item>
  </Accordion>
)
