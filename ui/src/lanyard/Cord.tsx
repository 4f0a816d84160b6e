import { Button, UnstyledButton } from '@mantine/core'
import { memo, useEffect, useRef, useState } from 'react'
import type { BeadView, TagView } from '../api.gen'
import { clockTime, span, useNow } from '../app/clock'
import { Fold } from '../app/Fold'
import classes from './Cord.module.css'

/** More tags than this, and what is at rest takes less room. */
const CROWDED = 4

/** More tags than fit beside the beads of a usual screen, and those of one kind at rest hang as a bundle. */
const MANY = 9

/** So few of one kind hang by themselves all the same. */
const BUNDLE = 2

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

/**
 * The map of the job: a cord from the flight-deck door to the line-up, a bead a stage, tags where they must be
 * gone.
 */
export const Cord = memo(({ beads, tags, shown, zone, bare, onGo, onTag, onHang }: CordProps) => {
  const now = useNow()
  const beadsOf = useRef<HTMLOListElement>(null)
  useEffect(() => {
    beadsOf.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  }, [shown])
  const beadOf = (tag: TagView) => beads.find((b) => b.stage === tag.stage)
  const title = beads.find((b) => b.stage === shown)?.title ?? (shown === 'plan' ? 'The plan' : 'Finds')
  const count = bare
    ? 'The cord is bare'
    : tags.length === 0
      ? 'No tag hangs'
      : `${tags.length} ${tags.length === 1 ? 'tag hangs' : 'tags hang'}`
  return (
    <nav className={classes.cord} aria-label="The cord" data-crowded={tags.length > CROWDED || undefined}>
      <ol className={classes.beads} ref={beadsOf}>
        {beads.map((bead, i) => (
          <li key={bead.stage} className={classes.stage}>
            <Bead
              bead={bead}
              hotkey={BEAD_KEYS[i] ?? ''}
              facts={facts(bead, now, zone)}
              shown={bead.stage === shown}
              onGo={onGo}
            />
            <Hanging
              bead={bead}
              tags={tags.filter((t) => t.stage === bead.stage)}
              many={tags.length > MANY}
              zone={zone}
              onTag={onTag}
            />
          </li>
        ))}
      </ol>
      <p className={classes.end}>{count}.</p>
      <Fold className={classes.below!} line={`${title} · ${count.toLowerCase()}`}>
        {tags.map((t) => (
          <Tag key={t.key} tag={t} pressing={pressing(t, beadOf(t))} zone={zone} onTag={onTag} />
        ))}
        {onHang && (
          <Button variant="rest" fullWidth onClick={onHang}>
            Hang a tag
          </Button>
        )}
      </Fold>
    </nav>
  )
})

interface BeadProps {
  bead: BeadView
  hotkey: string
  facts: string
  shown: boolean
  onGo: (stage: string) => void
}

/** A stage; drawn anew when something of it is another, not each second. */
const Bead = memo(({ bead, hotkey, facts, shown, onGo }: BeadProps) => (
  <UnstyledButton
    className={classes.bead}
    data-state={bead.state}
    data-shown={shown || undefined}
    onClick={() => onGo(bead.stage)}
    aria-current={shown ? 'page' : undefined}
  >
    <span className={classes.knot} data-state={bead.state} aria-hidden="true" />
    <span className={classes.title}>{bead.title}</span>
    <kbd className={classes.key}>{hotkey}</kbd>
    <span className={classes.facts}>{facts}</span>
  </UnstyledButton>
))

interface HangingProps {
  bead: BeadView
  /** Those that must be gone at this bead. */
  tags: TagView[]
  many: boolean
  zone: string
  onTag: (tag: TagView) => void
}

/** What hangs at a bead; of many at rest those of one kind hang as one bundle that opens. */
const Hanging = ({ bead, tags, many, zone, onTag }: HangingProps) => {
  const kinds = new Map<string, TagView[]>()
  for (const t of tags) {
    const kind = pressing(t, bead) ? t.key : kindOf(t)
    kinds.set(kind, [...(kinds.get(kind) ?? []), t])
  }
  return [...kinds].map(([kind, of]) =>
    many && of.length > BUNDLE ? (
      <Bundle key={kind} tags={of} zone={zone} onTag={onTag} />
    ) : (
      of.map((t) => <Tag key={t.key} tag={t} pressing={pressing(t, bead)} zone={zone} onTag={onTag} />)
    ),
  )
}

/** Tags of one kind, as one until somebody wants them apart. */
const Bundle = ({ tags, zone, onTag }: Pick<HangingProps, 'tags' | 'zone' | 'onTag'>) => {
  const [unfolded, setUnfolded] = useState(false)
  return (
    <>
      <div className={classes.hanging}>
        <span className={classes.string} aria-hidden="true" />
        <UnstyledButton className={classes.tag} aria-expanded={unfolded} onClick={() => setUnfolded(!unfolded)}>
          <span className={classes.tagTitle}>
            {tags[0]!.title}, {tags.length} of them
          </span>
        </UnstyledButton>
      </div>
      {unfolded && tags.map((t) => <Tag key={t.key} tag={t} pressing={false} zone={zone} onTag={onTag} />)}
    </>
  )
}

/** Tags of one kind have one name before what they are about. */
const kindOf = (tag: TagView): string => tag.key.split('/')[0]!

/** Due at the stage at hand, or overdue: then it is not calm. */
const pressing = (tag: TagView, bead: BeadView | undefined): boolean =>
  tag.late || !tag.mayStay || bead?.state === 'current'

const facts = (bead: BeadView, now: number, zone: string): string => {
  const parts: string[] = []
  if (bead.state === 'done') parts.push('done')
  else if (bead.all > 1 && (bead.done > 0 || bead.state === 'current')) parts.push(`${bead.done} of ${bead.all}`)
  if (bead.due && bead.state !== 'done') {
    const left = Date.parse(bead.due) - now
    parts.push(
      left < 0
        ? `${span(left)} over`
        : bead.state === 'current'
          ? `${span(left)} left`
          : `by ${clockTime(bead.due, zone)}`,
    )
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

const Tag = memo(({ tag, pressing, zone, onTag }: TagProps) => (
  <div className={classes.hanging}>
    <span className={classes.string} aria-hidden="true" />
    <UnstyledButton
      className={classes.tag}
      data-pressing={pressing || undefined}
      data-tag={tag.key}
      title={tag.closes}
      onClick={() => onTag(tag)}
    >
      <span className={classes.tagTitle}>{tag.title}</span>
      <span className={classes.tagFacts}>
        {[tag.detail, [tag.by, tag.since && clockTime(tag.since, zone)].filter(Boolean).join(' ')]
          .filter(Boolean)
          .join(' · ')}
      </span>
      {tag.closes && <span className={classes.closes}>Closed by: {tag.closes}</span>}
    </UnstyledButton>
  </div>
))
