import { useMantineColorScheme } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import classes from './Switch.module.css'

/** Day or night, one key. */
export const DayNight = () => {
  const { colorScheme, toggleColorScheme } = useMantineColorScheme()
  useHotkeys([['l', () => toggleColorScheme()]])
  const next = colorScheme === 'dark' ? 'Day' : 'Night'
  return (
    <button type="button" className={classes.plain} onClick={() => toggleColorScheme()}>
      {next} <kbd>l</kbd>
    </button>
  )
}
