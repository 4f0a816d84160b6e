import { Input, NativeSelect, type InputProps, type NativeSelectProps } from '@mantine/core'
import type { ComponentProps } from 'react'
import classes from './SmallField.module.css'

type SmallFieldProps = InputProps &
  Omit<ComponentProps<'input'>, keyof InputProps | 'ref'> & {
    /** How many characters it shows; as wide as its row lets it otherwise. */
    chars?: number
  }

/** A field in a row of the editor. */
export const SmallField = ({ chars, ...rest }: SmallFieldProps) => (
  <Input classNames={{ input: classes.input }} {...(chars && { w: `calc(${chars}ch + 1rem)` })} {...rest} />
)

/** A choice in a row of the editor. */
export const SmallSelect = (props: NativeSelectProps) => (
  <NativeSelect classNames={{ input: classes.input }} {...props} />
)
