import type { DepartureView, TagView } from '../api.gen'

/** One row of the tie-off: a tag, or all the procedures of a stage with steps still open, which one reason covers. */
export interface TieOffRow {
  key: string
  title: string
  detail: string
  /** What closes it; empty where that goes without saying. */
  closes: string
  go: string
  mayStay: boolean
  tags: TagView[]
}

const ofTag = (t: TagView): TieOffRow => ({
  key: t.key,
  title: t.title,
  detail: [t.detail, t.by].filter(Boolean).join(' · '),
  closes: t.key.startsWith('unfinished/') ? '' : t.closes,
  go: t.go,
  mayStay: t.mayStay,
  tags: [t],
})

/** What stands between a departure and its tie-off, a row each: tags first, then what is unfinished, by stage. */
export const tieOffRows = ({ progress }: DepartureView): TieOffRow[] => {
  const stages = new Map<string, TagView[]>()
  const rows = progress.tags.map(ofTag)
  for (const t of progress.unfinished) {
    if (t.key.startsWith('unfinished/')) stages.set(t.go, [...(stages.get(t.go) ?? []), t])
    else rows.push(ofTag(t))
  }
  for (const [go, tags] of stages) {
    if (tags.length === 1) rows.push(ofTag(tags[0]!))
    else {
      const title = progress.beads.find((b) => b.stage === go)?.title ?? go
      const detail = tags.map((t) => `${t.detail}, ${t.title}`).join(' · ')
      rows.push({
        key: `stage/${go}`,
        title: `${title}: ${tags.length} procedures with steps open`,
        detail,
        closes: '',
        go,
        mayStay: tags.every((t) => t.mayStay),
        tags,
      })
    }
  }
  return rows
}
