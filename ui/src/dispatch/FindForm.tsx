import { Button, NumberInput } from '@mantine/core'
import { useState } from 'react'
import type { CardView, EntryLineView, ItemView } from '../api.gen'
import { FileChoice } from '../app/FileChoice'
import { Choice } from '../app/Choice'
import { WordsForm } from '../app/WordsForm'
import classes from './FindForm.module.css'
import { PhotoRow } from './Photo'
import { takePhoto } from '../live/photos'
import { Walk } from '../drawing/Walk'
import { v7 } from 'uuid'

/** The choice of no entry of the list. */
const NONE = ''

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
  const addPhotos = async (files: File[]) => {
    for (const file of files) {
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
      <Choice
        label="How bad?"
        chosen={severity}
        onChoose={setSeverity}
        options={card.severities.map((s) => ({ value: s.id, words: s.words }))}
      />
      {candidates.length > 0 && severity !== 'danger' && (
        <Choice
          label="Is it one of these, which the list may let go?"
          chosen={entry?.id ?? NONE}
          onChoose={(id) => setEntry(candidates.find((c) => c.id === id))}
          options={[
            ...candidates.map((c) => ({
              value: c.id,
              words: (
                <>
                  <b>{c.id}</b> {c.title}
                </>
              ),
            })),
            { value: NONE, words: 'Something else' },
          ]}
        />
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
        <FileChoice
          accept="image/*"
          capture="environment"
          multiple
          inputProps={{ 'aria-label': 'Photo' }}
          onChange={(files) => void addPhotos(files)}
        >
          {(props) => <Button {...props}>{photos.length === 0 ? 'Take a photo' : 'Another photo'}</Button>}
        </FileChoice>
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
