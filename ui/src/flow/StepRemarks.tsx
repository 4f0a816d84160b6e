import type { DepartureView, ItemView } from '../api.gen'
import { Added, AskedAgain, Caution } from '../app/Notice'
import { Looks } from '../drawing/Looks'
import { ReadingNote } from '../gauge/ReadingNote'
import { statusOf } from '../live/marks'
import { Marks } from './Marks'
import { Why } from './Why'

/** What stands below a step: what was added, why it is done, its caution, why again, its reading, who said what. */
export const StepRemarks = ({ view, item }: { view: DepartureView; item: ItemView }) => {
  const step = view.progress.steps[item.id]
  return (
    <>
      {item.added && <Added>{item.added}</Added>}
      {item.why && <Why key={item.id} words={item.why} />}
      <Looks drawings={view.card?.drawings ?? []} looks={item.looks} />
      {item.caution && <Caution>{item.caution}</Caution>}
      {statusOf(view.progress, item.id) === 'again' && <AskedAgain because={step?.again ?? ''} />}
      <ReadingNote name={item.measure?.name ?? ''} reading={step?.reading} />
      <Marks step={step} zone={view.header.zone} />
    </>
  )
}
