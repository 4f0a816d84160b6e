import { memo } from 'react'
import type { DepartureView, ItemView, PartView, PlaceView, TechView } from '../api.gen'
import { Fold } from '../app/Fold'
import { clockTime, day } from '../app/clock'
import { PhotoRow } from '../dispatch/Photo'
import classes from './Today.module.css'

interface TodayProps {
  tech: TechView
  places: PlaceView[]
  part: PartView
}

/**
 * What is different today, in a line that opens; the steps themselves say it too: what is deferred, what earlier
 * crews found, what the day has added.
 */
export const Today = memo(({ tech, places, part }: TodayProps) => {
  const { deferrals, before } = tech
  const added = part.items.filter((i) => i.added)
  const deferred = new Set(deferrals.map((d) => d.defect))
  const latest = before.filter((f) => !deferred.has(f.id)).slice(0, 4)
  if (deferrals.length + latest.length + added.length === 0) return null
  const name = (place: string) => places.find((p) => p.id === place)?.name
  const counts = [`${deferrals.length} deferred`, `${latest.length} found before`, `${added.length} steps added`]
  return (
    <Fold line={`Different today: ${counts.join(', ')}`} tone="boxed" className={classes.today!}>
      <ul tabIndex={0} aria-label="Different today">
        {deferrals.map((d) => (
          <li key={d.defect} data-bars={d.bars !== '' || undefined}>
            <b>
              {d.entry} {d.title}
            </b>
            {d.note}, {d.left}
            {d.bars && `. Not for this flight: ${d.bars}`}
          </li>
        ))}
        {latest.map((f) => (
          <li key={f.id}>
            <b>{name(f.place) ?? 'Found before'}</b>
            {f.what} · {f.by}, {day(f.at)}
            {f.verdict && ` · ${f.verdict.toLowerCase()}`}
          </li>
        ))}
        {added.map((i) => (
          <li key={i.id}>
            <b>{i.challenge}</b>
            {i.added}
          </li>
        ))}
      </ul>
    </Fold>
  )
})

/** What was found at this place before, with its photos, to hold beside what is there now. */
export const Earlier = ({ view, item }: { view: DepartureView; item: ItemView }) => {
  const here = view.progress.tech.before.filter(
    (f) => f.step === item.id || (f.step === '' && f.place === item.place),
  )
  const now = view.progress.finds.filter((f) => f.step === item.id)
  if (here.length + now.length === 0) return null
  return (
    <div className={classes.earlier}>
      {now.map((f) => (
        <div key={f.id}>
          <b>Now</b> {f.note} · {f.by}, {clockTime(f.at, view.header.zone)}
          <PhotoRow ids={f.photos} of={f.challenge} />
        </div>
      ))}
      {here.map((f) => (
        <div key={f.id}>
          <b>{day(f.at)}</b> {f.what} · {f.by}
          {f.verdict && ` · ${f.verdict.toLowerCase()}`}
          <PhotoRow ids={f.photos} of={f.what} />
        </div>
      ))}
    </div>
  )
}
