import type { BriefingLineView } from '../api.gen'

interface Said {
  kind: string
  deviceAt: string
  body: Record<string, unknown>
}

interface ReadHere {
  line: string
  words: string
}

/** The lines that a word reads, with what was read of each; none where it reads nothing. */
export const readBy = (e: Pick<Said, 'kind' | 'body'>): readonly ReadHere[] =>
  e.kind === 'briefing-read' ? (e.body.lines as ReadHere[]) : []

/** The lines of which a word says that they were heard. */
export const heardBy = (e: Pick<Said, 'kind' | 'body'>): readonly string[] =>
  e.kind === 'briefing-heard' ? (e.body.lines as string[]) : []

/** The briefing with what this person has written and read, and the server has not told of yet. */
export const briefingAfter = (
  lines: BriefingLineView[],
  said: readonly Said[],
  who: { id: string; name: string },
): BriefingLineView[] => {
  if (!said.some((e) => e.kind.startsWith('briefing-'))) return lines
  const after = new Map(lines.map((l) => [l.step, l]))
  const change = (step: string, by: (l: BriefingLineView) => Partial<BriefingLineView>) => {
    const before = after.get(step)
    if (before) after.set(step, { ...before, ...by(before) })
  }
  for (const e of said) {
    if (e.kind === 'briefing-worded') {
      const words = String(e.body.words)
      // Only the server knows what a line says of itself.
      if (words !== '') change(String(e.body.line), () => ({ words, ownWords: true, before: undefined }))
    }
    for (const { line, words } of readBy(e))
      change(line, () => ({ read: { words, by: who.name, who: who.id, at: e.deviceAt } }))
  }
  return [...after.values()]
}
