import { useCallback } from 'react'
import type { fetchBaseQuery, TypedUseQuery } from '@reduxjs/toolkit/query/react'
import type { FrameView } from '../../contract/index.ts'
import { api } from './api.ts'

interface Options {
  readonly skip?: boolean
}

interface Answer<Data> {
  /** the last that came, be it of what was asked before */
  readonly data?: Data | undefined
  /** that of what is asked now */
  readonly currentData?: Data | undefined
  readonly isError: boolean
  readonly error?: unknown
}

const answerAlone = <Data>({ data, currentData, isError, error }: Answer<Data>): Answer<Data> => ({
  data,
  currentData,
  isError,
  error,
})

/**
 * What was answered, and not whether it is being asked again: with each write all is, and mostly the same comes. Who asks so
 * is drawn anew only where the answer differs.
 */
function answers<Data, Asked>(useQuery: TypedUseQuery<Data, Asked, ReturnType<typeof fetchBaseQuery>>) {
  type Given = undefined extends Asked ? [asked?: Asked, options?: Options] : [asked: Asked, options?: Options]
  return (...[asked, options]: Given): Answer<Data> & { readonly refetch: () => unknown } =>
    useQuery(asked as Asked & {}, { ...options, selectFromResult: answerAlone<Data> }) as never
}

export const useFrameQuery = answers(api.useFrameQuery)
export const useTonightQuery = answers(api.useTonightQuery)
export const useMomentQuery = answers(api.useMomentQuery)
export const useWatersQuery = answers(api.useWatersQuery)
export const useLarderQuery = answers(api.useLarderQuery)
export const useLarderStockQuery = answers(api.useLarderStockQuery)
export const usePatternsQuery = answers(api.usePatternsQuery)
export const useFamiliesQuery = answers(api.useFamiliesQuery)
export const useCatalogueQuery = answers(api.useCatalogueQuery)
export const useFamilyQuery = answers(api.useFamilyQuery)
export const useBenchQuery = answers(api.useBenchQuery)
export const useBoxesQuery = answers(api.useBoxesQuery)
export const useOutingsQuery = answers(api.useOutingsQuery)
export const useAlongQuery = answers(api.useAlongQuery)
export const useAlongWarmthQuery = answers(api.useAlongWarmthQuery)
export const useDrillsQuery = answers(api.useDrillsQuery)
export const useRigsQuery = answers(api.useRigsQuery)
export const useStoresQuery = answers(api.useStoresQuery)
export const useActionsQuery = answers(api.useActionsQuery)
export const useMeasurementsQuery = answers(api.useMeasurementsQuery)
export const useMovedQuery = answers(api.useMovedQuery)
export const useReachSeasonQuery = answers(api.useReachSeasonQuery)
export const useReachDayQuery = answers(api.useReachDayQuery)
export const useReachYearQuery = answers(api.useReachYearQuery)
export const useSeasonSkillQuery = answers(api.useSeasonSkillQuery)
export const usePlanQuery = answers(api.usePlanQuery)
export const useMaterialUsesQuery = answers(api.useMaterialUsesQuery)
export const usePatternQuery = answers(api.usePatternQuery)
export const usePatternsOfQuery = answers(api.usePatternsOfQuery)
export const useHistoryQuery = answers(api.useHistoryQuery)
export const useLedgerQuery = answers(api.useLedgerQuery)
export const useBackupPreviewQuery = answers(api.useBackupPreviewQuery)
export const usePairingQuery = answers(api.usePairingQuery)

/**
 * A part of what frames all places. The frame comes anew with each write: it says what was done last.
 *
 * @param partOf the same function each time
 */
export function useFramePart<Part extends Record<string, unknown>>(
  partOf: (frame: FrameView | undefined) => Part,
): Part {
  const selectFromResult = useCallback(
    ({ data }: { readonly data?: FrameView | undefined }) => partOf(data),
    [partOf],
  )
  return api.useFrameQuery(undefined, { selectFromResult })
}
