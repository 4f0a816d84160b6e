import { UnstyledButton } from '@mantine/core'
import { useState } from 'react'
import { photoUrl } from '../live/photos'
import classes from './Photo.module.css'

/** A photo, small; tapped, as large as the screen is wide. */
export const Photo = ({ id, of }: { id: string; of: string }) => {
  const [large, setLarge] = useState(false)
  const [missing, setMissing] = useState(false)
  if (missing) return <span className={classes.missing}>Photo on its way</span>
  return (
    <UnstyledButton
      className={classes.photo}
      data-large={large || undefined}
      onClick={() => setLarge(!large)}
      aria-label={`Photo of ${of}`}
    >
      <img src={photoUrl(id)} alt="" onError={() => setMissing(true)} />
    </UnstyledButton>
  )
}

export const PhotoRow = ({ ids, of }: { ids: string[]; of: string }) =>
  ids.length === 0 ? null : (
    <div className={classes.row}>
      {ids.map((id) => (
        <Photo key={id} id={id} of={of} />
      ))}
    </div>
  )
