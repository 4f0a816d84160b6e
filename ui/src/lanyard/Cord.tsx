import { memo } from 'react'
import type { BeadView, TagView } from '../api.gen'
import { clockTime, span, useNow } from '../app/clock'
import classes from './Cord.module.css'

/** More tags than this, and the calm ones fold to a line, so that the last bead stays in sight. */
const CROWDED = 4

/** A key a bead, in the order of the keyboard. */
export const BEAD_KEYS = [...'1234567890-=']

interface CordProps {
  beads: BeadView[]
  tags: TagView[]
  /** The stage on the screen. */
  shown: string
  zone: string
  /** Whether nothing at all stands between this departure and its tie-off. */
  bare: boolean
  onGo: (stage: string) => void
  onTag: (tag: TagView) => void
  /** To hang one by hand, where one can. */
  onHang: (() => void) | undefined
}

/** The map of the job: a cord from the flight-deck door to the line-up, a bead a stage, tags where they must be gone. */
export const Cord = memo(({ beads, tags, shown, zone, bare, onGo, onTag, onHang }: CordProps) => {
  const now = useNow()
  const count = bare ? 'The cord is bare' : tags.length === 0 ? 'No tag hangs' : `${tags.length} ${tags.length === 1 ? 'tag hangs' : 'tags hang'}`
  return (
    <nav className={classes.cord} aria-label="The cord" data-crowded={tags.length > CROWDED || undefined}>
      <ol className={classes.beads}>
        {beads.map((bead, i) => (
          <li key={bead.stage} className={classes.stage}>
            <button
              type="button" className={classes.bead} data-state={bead.state} data-shown={bead.stage === shown || undefined}
              onClick={() => onGo(bead.stage)} aria-current={bead.stage === shown ? 'page' : undefined}
            >
              <span className={classes.knot} data-state={bead.state} aria-hidden="true" />
              <span className={classes.title}>{bead.title}</span>
              <kbd className={classes.key}>{BEAD_KEYS[i]}</kbd>
              <span className={classes.facts}>{facts(bead, now, zone)}</span>
            </button>
            {tags
              .filter((t) => t.stage === bead.stage)
              .map((t) => (
                <Tag key={t.key} tag={t} pressing={t.late || !t.mayStay || bead.state === 'current'} zone={zone} onTag={onTag} />
              ))}
          </li>
        ))}
      </ol>
      <p className={classes.end}>{count}.</p>
      <details className={classes.below}>
        <summary>
          {beads.find((b) => b.stage === shown)?.title ?? 'Finds'} · {count.toLowerCase()}
        </summary>
        {tags.map((t) => (
          <Tag key={t.key} tag={t} pressing={t.late || !t.mayStay} zone={zone} onTag={onTag} />
        ))}
        {onHang && (
          <button type="button" className={classes.hang} onClick={onHang}>
            Hang a tag
          </button>
        )}
      </details>
    </nav>
  )
})

const facts = (bead: BeadView, now: number, zone: string): string => {
  const parts: string[] = []
  if (bead.state === 'done') parts.push('done')
  else if (bead.all > 1) parts.push(`${bead.done} of ${bead.all}`)
  if (bead.due && bead.state !== 'done') {
    const left = Date.parse(bead.due) - now
    parts.push(left < 0 ? `${span(left)} over` : bead.state === 'current' ? `${span(left)} left` : `by ${clockTime(bead.due, zone)}`)
  }
  return parts.join(' · ')
}

interface TagProps {
  tag: TagView
  /** Due at the stage at hand, or overdue: then it is not calm. */
  pressing: boolean
  zone: string
  onTag: (tag: TagView) => void
}

const Tag = ({ tag, pressing, zone, onTag }: TagProps) => (
  <div className={classes.hanging}>
    <span className={classes.string} aria-hidden="true" />
    <button type="button" className={classes.tag} data-pressing={pressing || undefined} title={tag.closes} onClick={() => onTag(tag)}>
      <span className={classes.tagTitle}>{tag.title}</span>
      <span className={classes.tagFacts}>
        {[tag.detail, [tag.by, tag.since && clockTime(tag.since, zone)].filter(Boolean).join(' ')].filter(Boolean).join(' · ')}
      </span>
      {tag.closes && <span className={classes.closes}>Closed by: {tag.closes}</span>}
    </button>
  </div>
)
