import type { AerofoilView, EngineView, HazardView, PlaceView, PlanformView } from '../api.gen'
import classes from './Walk.module.css'

interface Spot {
  x: number
  y: number
}

interface WalkProps {
  planform: PlanformView
  places: PlaceView[]
  /** Stations in the order they are walked. */
  route: string[]
  here: string
  /** Stations with something open. */
  left: Set<string>
  /** Keys of the tags that hang: some hazards are there only while one does. */
  tags?: Set<string>
  /** Where something was found. */
  spots?: Spot[]
  /** A place to look at closely. */
  around?: PlaceView
  onPlace?: (place: string) => void
  /** Somebody points at the drawing. */
  onSpot?: (spot: Spot) => void
}

/** Metres to each side of a place that is looked at closely. */
const CLOSE_M = 6

/** The aircraft from above with the way round it: walked, to walk, where one stands, and where not to stand. */
export const Walk = ({
  planform: p,
  places,
  route,
  here,
  left,
  tags = new Set(),
  spots = [],
  around,
  onPlace,
  onSpot,
}: WalkProps) => {
  const stations = route
    .map((r) => places.find((x) => x.id === r))
    .filter((x): x is PlaceView => x !== undefined && x.width === 0)
  const at = stations.findIndex((s) => s.id === here)
  const walked = at < 0 ? stations : stations.slice(0, at + 1)
  const hazards = p.hazards.filter((h) => h.during === '' || tags.has(h.during))
  const point = (e: React.MouseEvent<SVGSVGElement>) => {
    const matrix = e.currentTarget.getScreenCTM()
    if (!onSpot || !matrix) return
    const { x, y } = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix.inverse())
    onSpot({ x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 })
  }
  return (
    <figure
      className={classes.walk}
      data-close={around !== undefined || undefined}
      data-pointing={onSpot !== undefined || undefined}
    >
      <svg
        viewBox={around ? close(around) : whole(p, stations)}
        role="img"
        aria-label={around ? 'The aircraft from above' : `The walk: ${left.size} stations to go`}
        onClick={point}
      >
        <path d={fuselage(p)} className={classes.body} />
        <path d={aerofoil(p.wing)} className={classes.body} />
        <path d={aerofoil(p.tailplane)} className={classes.body} />
        <path d={`M0 ${p.tailplane.rootY - 1.2}V${p.lengthM}`} className={classes.fin} />
        {p.engines.map((e) => (
          <g key={e.x}>
            <rect
              x={e.x - nacelle(e) / 2}
              y={e.y}
              width={nacelle(e)}
              height={nacelle(e) * 2.4 + 1.3}
              rx={0.5}
              className={classes.body}
            />
            <ellipse
              cx={e.x}
              cy={e.kind === 'fan' ? e.y - 1.6 : e.y}
              rx={e.diameterM / 2 + 0.4}
              ry={e.kind === 'fan' ? 1.8 : 1.2}
              className={classes.arc}
            />
          </g>
        ))}
        {p.gear.map((g) => (
          <g key={`${g.x}/${g.y}`}>
            {Array.from({ length: g.wheels }, (_, n) => (
              <rect
                key={n}
                x={g.x + (n - (g.wheels - 1) / 2) * 0.62 - 0.2}
                y={g.y - 0.5}
                width={0.4}
                height={1}
                rx={0.15}
                className={classes.wheel}
              />
            ))}
          </g>
        ))}
        {p.doors.map((d) => (
          <path key={d.name} d={`M${d.x} ${d.y - d.lengthM / 2}v${d.lengthM}`} className={classes.door}>
            <title>{d.name}</title>
          </path>
        ))}
        {hazards.map((h) => (
          <rect
            key={h.name}
            x={h.x - h.widthM / 2}
            y={h.y - h.lengthM / 2}
            width={h.widthM}
            height={h.lengthM}
            rx={0.4}
            className={classes.hazard}
            data-kind={h.kind}
          >
            <title>{h.name}</title>
          </rect>
        ))}
        {!onSpot && <path d={curve(stations)} className={classes.way} />}
        {!onSpot && walked.length > 1 && <path d={curve(walked)} className={classes.walked} />}
        {stations.map((s) => (
          <rect
            key={s.id}
            x={s.x - 0.45}
            y={s.y - 0.45}
            width={0.9}
            height={0.9}
            className={left.has(s.id) ? classes.open : classes.closed}
          />
        ))}
        {onPlace &&
          stations.map((s) => (
            <circle key={s.id} cx={s.x} cy={s.y} r={1.5} className={classes.touch} onClick={() => onPlace(s.id)}>
              <title>{s.name}</title>
            </circle>
          ))}
        {at >= 0 && <circle cx={stations[at]!.x} cy={stations[at]!.y} r={0.95} className={classes.here} />}
        {spots.map((s) => (
          <path
            key={`${s.x}/${s.y}`}
            d={`M${s.x - 0.7} ${s.y - 0.7}l1.4 1.4m0-1.4l-1.4 1.4`}
            className={classes.spot}
          />
        ))}
      </svg>
      {(!around || onSpot) && <figcaption>{keepClear(p, hazards)}</figcaption>}
    </figure>
  )
}

const keepClear = (p: PlanformView, hazards: HazardView[]): string => {
  const engines = p.engines.some((e) => e.kind === 'propeller') ? 'propeller arcs' : 'inlets'
  const moving = hazards.some((h) => h.kind === 'surface') ? ', surfaces that move' : ''
  return `Stay outside the broken lines: ${engines}, exhausts${moving}.`
}

const close = (s: PlaceView): string =>
  `${s.x * 0.82 - CLOSE_M} ${s.y - CLOSE_M * 0.75} ${2 * CLOSE_M} ${1.5 * CLOSE_M}`

const whole = (p: PlanformView, stations: PlaceView[]): string => {
  const reach = Math.max(p.wing.spanM / 2, ...stations.map((s) => Math.abs(s.x))) + 1.4
  const top = Math.min(0, ...stations.map((s) => s.y)) - 1.4
  const bottom = Math.max(p.lengthM, ...stations.map((s) => s.y)) + 1.4
  return `${-reach} ${top} ${2 * reach} ${bottom - top}`
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
  const end = p.lengthM
  const right = `C${w} 0 ${w} ${n * 0.5} ${w} ${n}L${w} ${t}C${w} ${end * 0.85} ${w * 0.3} ${end} 0 ${end}`
  const left = `C${-w * 0.3} ${end} ${-w} ${end * 0.85} ${-w} ${t}L${-w} ${n}C${-w} ${n * 0.5} ${-w} 0 0 0`
  return `M0 0${right}${left}Z`
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
      const out = `${a.x + (b.x - before.x) * k} ${a.y + (b.y - before.y) * k}`
      return `C${out} ${b.x - (after.x - a.x) * k} ${b.y - (after.y - a.y) * k} ${b.x} ${b.y}`
    })
    .join('')
