import { FileButton, type FileButtonProps } from '@mantine/core'

/** A button that asks for a file; the same one can be chosen again, as after a fault in it was mended. */
export const FileChoice = <Multiple extends boolean = false>({ inputProps, ...rest }: FileButtonProps<Multiple>) => (
  <FileButton
    {...rest}
    inputProps={{
      ...inputProps,
      // A browser tells of a choice only where it is another than the last.
      onClick: (e) => {
        e.currentTarget.value = ''
      },
    }}
  />
)
