import { Button, useComputedColorScheme, useMantineColorScheme } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { memo } from 'react'
import { Key } from './Key'

/** Day or night, one key. */
export const DayNight = memo(({ className }: { className?: string }) => {
  const { setColorScheme } = useMantineColorScheme()
  const shown = useComputedColorScheme('light')
  const toggle = () => setColorScheme(shown === 'dark' ? 'light' : 'dark')
  useHotkeys([['l', toggle]])
  return (
    <Button
      variant="plain"
      size="desk"
      {...(className && { className })}
      onClick={toggle}
      rightSection={<Key>l</Key>}
    >
      {shown === 'dark' ? 'Day' : 'Night'}
    </Button>
  )
})
