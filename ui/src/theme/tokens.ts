import type { CSSVariablesResolver } from '@mantine/core'

/** The colours of the look by what they are for, by day and by night; every stylesheet takes them by these names. */
const DAY = {
  paper: '#f6f3ec',
  raised: '#fffdf8',
  ink: '#1e2328',
  soft: '#4c545c',
  rule: '#cfc9bb',
  lime: '#d7e021',
  'on-lime': '#1e2328',
  'on-lime-edge': '#1e2328',
  streamer: '#b3261e',
  'streamer-text': '#a0201a',
  'on-streamer': '#fffaf5',
  ochre: '#7a5400',
  'cord-a': '#1e2328',
  'cord-b': '#f6f3ec',
  // A tag at rest, and one that is due now.
  'tag-rest': '#efdcd4',
  'tag-due': '#b3261e',
  'on-tag-due': '#fffaf5',
}

/** No pure white, and nothing large that glows: a tag at rest is an outline, one that is due now is dim but filled. */
const NIGHT: typeof DAY = {
  paper: '#0e0f11',
  raised: '#16181b',
  ink: '#d9cbb3',
  soft: '#a39a88',
  rule: '#33343a',
  lime: '#8f9418',
  'on-lime': '#0e0f11',
  'on-lime-edge': '#d9cbb3',
  streamer: '#e0574f',
  'streamer-text': '#e8716a',
  'on-streamer': '#14090a',
  ochre: '#d39a3a',
  'cord-a': '#d9cbb3',
  'cord-b': '#0e0f11',
  'tag-rest': '#0e0f11',
  'tag-due': '#5c1f1c',
  'on-tag-due': '#f0dccb',
}

/** Heights of what is pressed: at arm's length, in a glove on the ramp, in the cockpit, at a desk. */
const SIZES = { 'press-arm': '72px', 'press-glove': '56px', 'press-seat': '48px', 'press-desk': '44px' }

const named = (all: Record<string, string>) => Object.fromEntries(Object.entries(all).map(([k, v]) => [`--${k}`, v]))

/** The library's own colours, said by ours, so that its components look like this product. */
const OURS = {
  '--mantine-color-body': 'var(--paper)',
  '--mantine-color-text': 'var(--ink)',
  '--mantine-color-bright': 'var(--ink)',
  '--mantine-color-dimmed': 'var(--soft)',
  '--mantine-color-placeholder': 'var(--soft)',
  '--mantine-color-error': 'var(--streamer-text)',
  '--mantine-color-default': 'var(--raised)',
  '--mantine-color-default-hover': 'var(--raised)',
  '--mantine-color-default-color': 'var(--ink)',
  '--mantine-color-default-border': 'var(--ink)',
  '--mantine-color-anchor': 'var(--ink)',
  '--mantine-color-disabled': 'transparent',
  '--mantine-color-disabled-color': 'inherit',
  '--mantine-color-disabled-border': 'currentColor',
}

export const tokens: CSSVariablesResolver = () => ({
  variables: named(SIZES),
  light: { ...named(DAY), ...OURS },
  dark: { ...named(NIGHT), ...OURS },
})
