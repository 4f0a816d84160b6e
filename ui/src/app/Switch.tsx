import { useComputedColorScheme, useMantineColorScheme } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import classes from './Switch.module.css'

/** Day or night, one key. */
export const DayNight = () => {
  const { setColorScheme } = useMantineColorScheme()
  const shown = useComputedColorScheme('light')
  const toggle = () => setColorScheme(shown === 'dark' ? 'light' : 'dark')
  useHotkeys([['l', toggle]])
  const next = shown === 'dark' ? 'Day' : 'Night'
  return (
    <button type="button" className={classes.plain} onClick={toggle}>
      {next} <kbd>l</kbd>
    </button>
  )
}
