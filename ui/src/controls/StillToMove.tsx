import classes from './StillToMove.module.css'
import type { Picture, Travel } from './picture'

const SEATS = { any: '', left: 'Left stick: ', right: 'Right stick: ' } as const

/** By stick and axis, what has not been shown; each in as few words as tell it. */
const lines = (travels: readonly Travel[]): { key: string; what: string; note: string }[] => {
  const groups = new Map<string, Travel[]>()
  for (const t of travels.filter((x) => !x.shown))
    groups.set(`${t.seat}/${t.axis}`, [...(groups.get(`${t.seat}/${t.axis}`) ?? []), t])
  return [...groups].map(([key, left]) => {
    const { seat, axis } = left[0]!
    const ways =
      left.length > 1 ? 'both ways' : left[0]!.words.slice(left[0]!.words.lastIndexOf(axis) + axis.length + 1)
    const short = left.find((t) => t.lacks !== '' && t.covered > 0.5)
    return {
      key,
      what: `${SEATS[seat]}${axis} ${ways}`,
      note: short ? `${short.lacks.toLowerCase()} ${short.toGoDeg.toFixed(1)}° short so far` : '',
    }
  })
}

/** What is left of a whole check, in words. */
export const StillToMove = ({ picture }: { picture: Picture }) => {
  const left = lines(picture.travels)
  const wrong = picture.axes.filter((a) => a.words.length > 0)
  return (
    <section className={classes.left} aria-label="Still to move">
      {wrong.length > 0 && (
        <ul className={classes.wrong}>
          {wrong.map((a) => (
            <li key={a.axis}>
              {a.words[0]}
              {a.words.length > 1 && ` And ${a.words.length - 1} more.`}
            </li>
          ))}
        </ul>
      )}
      <h2 className={classes.title}>{left.length > 0 ? 'Still to move' : 'All of it was moved'}</h2>
      <ul className={classes.lines}>
        {left.map((l) => (
          <li key={l.key}>
            {l.what.charAt(0).toUpperCase() + l.what.slice(1)}
            {l.note && <span>{l.note}</span>}
          </li>
        ))}
      </ul>
    </section>
  )
}
