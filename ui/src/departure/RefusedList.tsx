import { useSyncExternalStore } from 'react'
import { dismissPhoto, onPhotos, photoState } from '../live/photos'
import { Problem } from '../app/api'
import { ProblemNotice } from '../app/Notice'
import { Action } from '../app/Action'
import type { Outbox } from '../live/outbox'
import type { Refused } from '../live/outboxState'

/** What the server did not take: it stays in sight until somebody has read it. */
export const RefusedList = ({ outbox, refused }: { outbox: Outbox; refused: readonly Refused[] }) => {
  const photo = useSyncExternalStore(onPhotos, photoState).refused[0]
  const first = refused[0]
  if (!first && photo) {
    return (
      <ProblemNotice
        problem={
          new Problem(
            409,
            photo.problem.code,
            `Not taken: ${photo.label}. ${photo.problem.what}`,
            'The find stands without it. Take the photo again if it matters.',
          )
        }
      >
        <div style={{ display: 'flex', gap: '0.5rem', marginTop: '0.5rem' }}>
          <Action hotkey="x" onAct={() => dismissPhoto(photo.id)}>
            Read
          </Action>
        </div>
      </ProblemNotice>
    )
  }
  if (!first) return null
  const more = refused.length > 1 ? ` ${refused.length - 1} more after this.` : ''
  return (
    <ProblemNotice
      problem={
        new Problem(
          409,
          first.code ?? 'refused',
          `Not taken: ${first.event.label}. ${first.what}`,
          first.tryThis + more,
          first.faults,
        )
      }
    >
      <div style={{ display: 'flex', gap: '0.5rem', marginTop: '0.5rem' }}>
        <Action hotkey="x" onAct={() => outbox.dismiss(first.event.id)}>
          Read
        </Action>
        <Action hotkey="j" onAct={() => outbox.sayAgain(first)}>
          Say it again
        </Action>
      </div>
    </ProblemNotice>
  )
}
