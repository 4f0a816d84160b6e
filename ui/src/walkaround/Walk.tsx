import type { AerofoilView, EngineView, PlaceView, PlanformView } from '../api.gen'
import classes from './Walk.module.css'

interface WalkProps {
  planform: PlanformView
  places: PlaceView[]
  /** Stations in the order they are walked. */
  route: string[]
  here: string
  /** Stations with something open. */
  left: Set<string>
  onPlace: (place: string) => void
}

/** The aircraft from above with the way round it: walked, to walk, where one stands, and where not to stand. */
export const Walk = ({ planform: p, places, route, here, left, onPlace }: WalkProps) => {
  const stations = route.map((r) => places.find((x) => x.id === r)).filter((x): x is PlaceView => x !== undefined && x.width === 0)
  const reach = Math.max(p.wing.spanM / 2, ...stations.map((s) => Math.abs(s.x))) + 1.4
  const top = Math.min(0, ...stations.map((s) => s.y)) - 1.4
  const bottom = Math.max(p.lengthM, ...stations.map((s) => s.y)) + 1.4
  const at = stations.findIndex((s) => s.id === here)
  const walked = at < 0 ? stations : stations.slice(0, at + 1)
  return (
    <figure className={classes.walk}>
      <svg viewBox={`${-reach} ${top} ${2 * reach} ${bottom - top}`} role="img" aria-label={`The walk: ${left.size} stations to go`}>
        <path d={fuselage(p)} className={classes.body} />
        <path d={aerofoil(p.wing)} className={classes.body} />
        <path d={aerofoil(p.tailplane)} className={classes.body} />
        {p.engines.map((d) => (
          <g key={d.x}>
            <rect x={d.x - nacelle(d) / 2} y={d.y} width={nacelle(d)} height={nacelle(d) * 2.4 + 1.3} rx={0.5} className={classes.body} />
            <ellipse cx={d.x} cy={d.kind === 'fan' ? d.y - 1.6 : d.y} rx={d.diameterM / 2 + 0.4} ry={d.kind === 'fan' ? 1.8 : 1.2} className={classes.arc} />
          </g>
        ))}
        <path d={curve(stations)} className={classes.way} />
        {walked.length > 1 && <path d={curve(walked)} className={classes.walked} />}
        {stations.map((s) => (
          <rect key={s.id} x={s.x - 0.45} y={s.y - 0.45} width={0.9} height={0.9} className={left.has(s.id) ? classes.open : classes.closed} />
        ))}
        {stations.map((s) => (
          <circle key={s.id} cx={s.x} cy={s.y} r={1.5} className={classes.touch} onClick={() => onPlace(s.id)}>
            <title>{s.name}</title>
          </circle>
        ))}
        {at >= 0 && <circle cx={stations[at]!.x} cy={stations[at]!.y} r={0.95} className={classes.here} />}
      </svg>
      <figcaption>{p.engines.some((d) => d.kind === 'propeller') ? 'Propeller arcs: stay outside the broken line.' : 'Inlets: stay outside the broken line once engines may start.'}</figcaption>
    </figure>
  )
}

/** Width of a nacelle: all of a fan, a third of a propeller disc. */
const nacelle = (e: EngineView): number => (e.kind === 'fan' ? e.diameterM : e.diameterM / 3)

const aerofoil = (a: AerofoilView): string => {
  const h = a.spanM / 2
  const tail = `L${h} ${a.tipY + a.tipChordM}L0 ${a.rootY + a.rootChordM}L${-h} ${a.tipY + a.tipChordM}`
  return `M0 ${a.rootY}L${h} ${a.tipY}${tail}L${-h} ${a.tipY}Z`
}

const fuselage = (p: PlanformView): string => {
  const w = p.fuselageWidthM / 2
  const n = p.lengthM * 0.14
  const t = p.lengthM * 0.66
  return `M0 0C${w} 0 ${w} ${n * 0.5} ${w} ${n}L${w} ${t}C${w} ${p.lengthM * 0.85} ${w * 0.3} ${p.lengthM} 0 ${p.lengthM}C${-w * 0.3} ${p.lengthM} ${-w} ${p.lengthM * 0.85} ${-w} ${t}L${-w} ${n}C${-w} ${n * 0.5} ${-w} 0 0 0Z`
}

/** A soft line through the stations. */
const curve = (s: PlaceView[]): string =>
  s
    .map((b, i) => {
      const a = s[i - 1]
      if (!a) return `M${b.x} ${b.y}`
      const before = s[i - 2] ?? a
      const after = s[i + 1] ?? b
      const k = 0.16
      return `C${a.x + (b.x - before.x) * k} ${a.y + (b.y - before.y) * k} ${b.x - (after.x - a.x) * k} ${b.y - (after.y - a.y) * k} ${b.x} ${b.y}`
    })
    .join('')
