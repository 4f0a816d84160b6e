import { keepPreviousData, useQuery } from '@tanstack/react-query'
import type { FiguresView } from '../api.gen'
import { ask, type Problem } from '../app/api'
import type { Live } from '../live/useDeparture'

/** The figures as they are drawn and read; asked for anew when something was said of them. */
export const useFigures = (live: Live) => {
  const { id } = live.view.header
  return useQuery<FiguresView, Problem>({
    queryKey: ['figures', id, live.view.progress.figuresNumber, live.view.progress.cardKey],
    queryFn: () => ask<FiguresView>('GET', `/api/departures/${id}/figures`),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: (n, p) => p.status === 0 && n < 20,
    retryDelay: 1500,
  })
}
