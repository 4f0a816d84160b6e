import { describe, expect, it } from 'vitest'

const sources = import.meta.glob<string>(['./*/*.ts', './*/*.tsx', '!./**/*.test.ts'], {
  query: '?raw',
  import: 'default',
  eager: true,
})

/** By room: the rooms it takes something from. */
const rooms = new Map<string, Set<string>>()
for (const [file, text] of Object.entries(sources)) {
  const room = file.split('/')[1]!
  const from = rooms.get(room) ?? new Set<string>()
  for (const m of text.matchAll(/from '\.\.\/([a-z]+)\//g)) from.add(m[1]!)
  rooms.set(room, from)
}

/** A way from a room back to itself; empty where there is none. */
const circle = (from: string, at = from, way: string[] = []): string[] => {
  for (const next of rooms.get(at) ?? []) {
    if (next === from) return [...way, at, next]
    if (way.includes(next)) continue
    const found = circle(from, next, [...way, at])
    if (found.length > 0) return found
  }
  return []
}

describe('the rooms of the interface', () => {
  it('are all read', () => {
    expect([...rooms.keys()]).toEqual(
      expect.arrayContaining(['app', 'live', 'flow', 'walkaround', 'checklist', 'departure']),
    )
    expect(rooms.get('departure')).toContain('live')
  })

  it('do not run in a circle', () => {
    expect([...rooms.keys()].map((r) => circle(r).join(' → ')).filter(Boolean)).toEqual([])
  })

  it('have what is live below all stages, and only what is for everybody below it', () => {
    expect([...rooms.get('live')!]).toEqual(['app'])
    expect([...rooms.get('app')!]).toEqual([])
  })
})
