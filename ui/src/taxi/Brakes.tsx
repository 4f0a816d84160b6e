import { Button, Checkbox, NumberInput } from '@mantine/core'
import { useState } from 'react'
import { clockTime, span, useNow } from '../app/clock'
import { Fold } from '../app/Fold'
import type { Live } from '../live/useDeparture'
import classes from './Clearance.module.css'

/** Brakes that grew hot: read, and cooled by the type's table before a stop may be counted on. */
export const Brakes = ({ live }: { live: Live }) => {
  const { progress, header } = live.view
  const read = progress.taxi?.brakes
  const [hottest, setHottest] = useState<number | string>('')
  const [fan, setFan] = useState(false)
  const now = useNow()
  const left = read?.until ? Date.parse(read.until) - now : 0
  const line = !read
    ? 'Brakes that grew hot'
    : left > 0
      ? `Brakes ${read.hottestC} °C, by the table cool in ${span(left)}; then read them again`
      : read.until
        ? `Brakes ${read.hottestC} °C at ${clockTime(read.at, header.zone)}, by the table cool now: read them again`
        : `Brakes ${read.hottestC} °C at ${clockTime(read.at, header.zone)}`
  return (
    <Fold line={line}>
      <form
        className={classes.entry}
        onSubmit={(e) => {
          e.preventDefault()
          live.outbox.put('brakes-read', { 'hottest-c': Number(hottest), fan }, 'the brakes')
          setHottest('')
        }}
      >
        <NumberInput
          label="Hottest brake, °C"
          allowDecimal={false}
          hideControls
          value={hottest}
          onChange={setHottest}
        />
        <Checkbox label="Its fan runs" checked={fan} onChange={(e) => setFan(e.currentTarget.checked)} />
        <div className={classes.ways}>
          <Button type="submit" disabled={hottest === '' || !live.seat || progress.tiedOff !== undefined}>
            Brakes read
          </Button>
        </div>
        <p className={classes.heard}>
          By the type's table in the pack. Until they are cool a rejected take-off is not to be counted on.
        </p>
      </form>
    </Fold>
  )
}
