import { NumberInput } from '@mantine/core'
import { useState } from 'react'
import type { CardView, EntryLineView, ItemView } from '../api.gen'
import { WordsForm } from '../app/WordsForm'
import classes from './FindForm.module.css'
import { PhotoRow } from './Photo'
import { takePhoto } from '../live/photos'
import { Walk } from '../drawing/Walk'
import { v7 } from 'uuid'

/** A find as it is sent. */
export interface FindWords {
  find: string
  note: string
  what: {
    severity: string
    count: number
    entry: string | null
    spot: { x: number; y: number } | null
    photos: string[]
  }
}

interface FindFormProps {
  departure: string
  card: CardView
  item: ItemView
  onRaise: (find: FindWords) => void
  onCancel: () => void
}

/** A find: what, how bad, which entry of the list it may be, where, and photos. Only the words must be there. */
export const FindForm = ({ departure, card, item, onRaise, onCancel }: FindFormProps) => {
  const [severity, setSeverity] = useState('defect')
  const [entry, setEntry] = useState<EntryLineView>()
  const [count, setCount] = useState(1)
  const [spot, setSpot] = useState<{ x: number; y: number } | null>(null)
  const [photos, setPhotos] = useState<string[]>([])
  const [wrong, setWrong] = useState('')
  const candidates = card.entries.filter((e) => e.steps.includes(item.id))
  const station = card.places.find((p) => p.id === item.place && p.width === 0)
  const raise = (note: string) => {
    const named = severity === 'danger' ? undefined : entry
    onRaise({
      find: v7(),
      note,
      what: { severity, count: named && named.installed > 1 ? count : 1, entry: named?.id ?? null, spot, photos },
    })
  }
  const addPhotos = async (files: FileList | null) => {
    for (const file of files ?? []) {
      try {
        const id = await takePhoto(departure, file, `the photo of ${item.challenge}`)
        setPhotos((all) => [...all, id])
        setWrong('')
      } catch (e) {
        setWrong((e as Error).message)
      }
    }
  }
  return (
    <WordsForm
      draft={`${departure}/${item.id}/find`}
      label="What is not as it should be?"
      action="Raise the find"
      onSay={raise}
      onCancel={onCancel}
    >
      <fieldset className={classes.choice}>
        <legend>How bad?</legend>
        {card.severities.map((s) => (
          <label key={s.id} data-on={severity === s.id || undefined}>
            <input
              type="radio"
              name="severity"
              value={s.id}
              checked={severity === s.id}
              onChange={() => setSeverity(s.id)}
            />
            {s.words}
          </label>
        ))}
      </fieldset>
      {candidates.length > 0 && severity !== 'danger' && (
        <fieldset className={classes.choice}>
          <legend>Is it one of these, which the list may let go?</legend>
          {candidates.map((c) => (
            <label key={c.id} data-on={entry?.id === c.id || undefined}>
              <input type="radio" name="entry" checked={entry?.id === c.id} onChange={() => setEntry(c)} />
              <b>{c.id}</b> {c.title}
            </label>
          ))}
          <label data-on={!entry || undefined}>
            <input type="radio" name="entry" checked={!entry} onChange={() => setEntry(undefined)} />
            Something else
          </label>
        </fieldset>
      )}
      {entry && entry.installed > 1 && (
        <NumberInput
          label="How many?"
          value={count}
          min={1}
          max={entry.installed}
          allowDecimal={false}
          onChange={(v) => setCount(Math.max(1, Number(v) || 1))}
        />
      )}
      <div className={classes.photos}>
        <label className={classes.camera}>
          <input
            type="file"
            accept="image/*"
            capture="environment"
            multiple
            aria-label="Photo"
            onChange={(e) => void addPhotos(e.currentTarget.files)}
          />
          {photos.length === 0 ? 'Take a photo' : 'Another photo'}
        </label>
        <PhotoRow ids={photos} of={item.challenge} />
        {wrong && <p role="alert">{wrong}</p>}
      </div>
      {station && (
        <div className={classes.where}>
          <p>{spot ? 'Marked. Tap again to move it.' : 'Tap where it is, if that helps.'}</p>
          <Walk
            planform={card.planform}
            places={card.places}
            route={[station.id]}
            here={station.id}
            left={new Set()}
            spots={spot ? [spot] : []}
            around={station}
            onSpot={setSpot}
          />
        </div>
      )}
    </WordsForm>
  )
}
