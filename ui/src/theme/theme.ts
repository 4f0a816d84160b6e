import { Accordion, Button, createTheme, Input, Table, Tabs, type MantineColorsTuple } from '@mantine/core'
import button from './button.module.css'
import field from './field.module.css'
import fold from './fold.module.css'
import table from './table.module.css'
import tabs from './tabs.module.css'

/** The library wants ten shades of its one colour; here ink is ink. */
const ink = Array.from({ length: 10 }, () => 'var(--ink)') as unknown as MantineColorsTuple

/**
 * The product's look for the library's components: paper and ink, one lime thing. Buttons have a variant by what they
 * are — `main` the one thing to do now, `outline` what else can be done, `rest` what can wait, `plain` words alone —
 * and a size by where they are pressed: `arm`, `glove`, `seat`, `desk`.
 */
export const theme = createTheme({
  fontFamily: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
  fontFamilyMonospace: 'ui-monospace, monospace',
  colors: { ink },
  primaryColor: 'ink',
  defaultRadius: 6,
  focusRing: 'never',
  components: {
    Button: Button.extend({
      defaultProps: { variant: 'outline', size: 'glove' },
      classNames: button,
      vars: () => ({ root: {} }),
    }),
    Accordion: Accordion.extend({
      defaultProps: { variant: 'line', chevronPosition: 'left', transitionDuration: 0 },
      classNames: fold,
    }),
    Input: Input.extend({ classNames: { input: field.input } }),
    InputWrapper: Input.Wrapper.extend({
      classNames: { label: field.label, error: field.error, description: field.description },
    }),
    Table: Table.extend({ defaultProps: { withRowBorders: false }, classNames: table }),
    Tabs: Tabs.extend({ classNames: tabs }),
  },
})
