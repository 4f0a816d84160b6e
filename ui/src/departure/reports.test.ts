import { parseMetar, type IMetar } from 'metar-taf-parser'
import { expect, test } from 'vitest'
import cases from './reports.cases.json'

/**
 * The second of two independent parsers for the 300 reports of formats' ReportsTest; the first is a library there.
 * Where it reads otherwise, it is said on what and why ours is left as it is.
 */
const EXPLAINED: Record<string, (field: string, text: string) => boolean> = {
  'That parser passes over a runway range without a letter for how it changes; the form lets it be left out.': (
    field,
    text,
  ) => field === 'ranges' && /R\d\d[LCR]?\/P?\d{4}(?: |$)/.test(text),
}

type Metar = IMetar
type Condition = Metar['weatherConditions'][number]
type Visibility = NonNullable<Metar['visibility']>

const KT_PER_MPS = 3600 / 1852
const METRES_PER_MILE = 1609.344

const code = (w: Condition): string => `${w.intensity ?? ''}${w.descriptive ?? ''}${w.phenomenons.join('')}`

const metres = (v: Visibility | undefined, cavok: boolean | undefined): string =>
  cavok || (v?.value === 9999 && v.unit === 'm')
    ? '10000'
    : v === undefined
      ? ''
      : String(Math.round(v.unit === 'm' ? v.value : v.value * METRES_PER_MILE))

const values = (m: Metar): Record<string, string> => {
  const { wind } = m
  const toKt = wind?.unit === 'MPS' ? KT_PER_MPS : 1
  return {
    wind:
      `${wind?.degrees ?? 'VRB'} ${Math.round((wind?.speed ?? 0) * toKt)}` + (wind?.gust ? ` gust ${wind.gust}` : ''),
    sector: wind?.minVariation === undefined ? '' : `${wind.minVariation} to ${wind.maxVariation}`,
    visibility: metres(m.visibility, m.cavok),
    weather: m.weatherConditions.map(code).join(' '),
    clouds: [
      ...m.clouds.filter((c) => c.height !== undefined).map((c) => `${c.quantity}${c.height}${c.type ?? ''}`),
      ...(m.verticalVisibility === undefined ? [] : [`VV${m.verticalVisibility}`]),
    ].join(' '),
    temperature: `${m.temperature}/${m.dewPoint}`,
    pressure: String(Math.floor(m.altimeter!.unit === 'inHg' ? m.altimeter!.value * 33.8639 : m.altimeter!.value)),
    ranges: m.runwaysInfo
      .map((r) =>
        'minRange' in r ? `${r.name} ${r.minRange}${r.maxRange === undefined ? '' : ` to ${r.maxRange}`}` : '',
      )
      .join(' '),
    trends: m.trends
      .map((t) => `${t.type} ${metres(t.visibility, t.cavok)} ${t.weatherConditions.map(code).join(' ')}`.trim())
      .join(', '),
  }
}

test('a second parser reads three hundred reports as we do, but for what is explained', () => {
  const used = new Set<string>()
  const unexplained: string[] = []
  for (const { text, values: ours } of cases) {
    const theirs = values(parseMetar(text))
    for (const [field, value] of Object.entries(ours)) {
      if (theirs[field] === value) continue
      const why = Object.keys(EXPLAINED).find((e) => EXPLAINED[e]!(field, text))
      if (why === undefined) unexplained.push(`${field}: ${value} is ours, ${theirs[field]} theirs, of ${text}`)
      else used.add(why)
    }
  }
  expect(cases).toHaveLength(300)
  expect(unexplained).toEqual([])
  expect([...used].sort()).toEqual(Object.keys(EXPLAINED).sort())
})
