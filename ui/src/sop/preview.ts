import { keepPreviousData, useQuery } from '@tanstack/react-query'
import type { PreviewDay, PreviewView } from '../api.gen'
import { ask, type Problem } from '../app/api'

/** Days to look at: what a crew meets, each a press away. */
export const REPORTS = [
  { words: 'Mild and dry', weather: '24008KT CAVOK 15/08 Q1018' },
  { words: 'Freezing, light snow', weather: '24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003' },
  { words: 'Freezing rain, strong wind', weather: '22032G44KT 3000 FZRA BKN008 M01/M02 Q0991' },
  { words: 'Fog', weather: '00000KT 0300 FG VV001 04/04 Q1024' },
]

/** A report of an airfield with that weather; the time in it matters to no card. */
export const reportOf = (station: string, weather: string): string => `${station} 010000Z ${weather}`

/** Where no fleet is brought in yet, the reader still wants four letters. */
const NOWHERE = 'XXXX'

/** A first day to look at, between two of the fleet's airfields. */
export const dayOf = (tail: string, airfields: string[]): PreviewDay => ({
  tail,
  flying: 'left',
  from: airfields[0] ?? NOWHERE,
  to: airfields[1] ?? airfields[0] ?? NOWHERE,
  report: reportOf(airfields[0] ?? NOWHERE, REPORTS[0]!.weather),
  dark: false,
  circumstances: ['first-flight'],
  measured: {},
})

/** Cards cut by the server from a revision, or from a document that is not saved yet. */
export const usePreview = (pack: string, revision: string, document: string | undefined, days: PreviewDay[]) =>
  useQuery<PreviewView, Problem>({
    queryKey: ['preview', pack, revision, document ?? '', days],
    queryFn: () =>
      ask('POST', '/api/card-previews', { pack, revision, ...(document !== undefined && { document }), days }),
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 10_000,
  })
