import type { EmergenceWindow } from '../../core/index.ts'
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react'
import type {
  ActionsView, BenchView, BoxesView, CommandInput, CommandKind, CommandResult, DrawingsView, FamiliesView, FamilyFull, FrameView, HistoryView, LedgerView,
  InstrumentReading,
  LarderView, MeasurementsView, MomentView, OutingsView, PhotoId, PatternsView, PatternView, PlanView, Problem, ReachSeasonView, SearchView, SeasonStateView, StoresView, TonightView, UsesView, WatersView,
} from '../../contract/index.ts' // prettier-ignore

/** Windows of a reach to keep, with the hash of what they were worked out from. */
export interface SeasonWindows {
  readonly reachId: string
  readonly inputHash: string
  readonly windows: readonly EmergenceWindow[]
}

/** Whose ledger is read. */
export type LedgerOf = { readonly compartmentId: string } | { readonly materialId: string }

/** A write to send: its id makes a repeated one harmless. */
export interface Sent<Kind extends CommandKind = CommandKind> {
  readonly id: string
  readonly kind: Kind
  readonly body: CommandInput<Kind>
}

/** Writes whose bodies are tables. */
const TABLES: ReadonlySet<CommandKind> = new Set<CommandKind>(['fliesPutIn', 'storesPutIn'])

/** The server's data. Every write makes all views stale: they are small, local and cheap to ask again. */
export const api = createApi({
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  tagTypes: ['all', 'shipped'],
  refetchOnReconnect: true,
  endpoints: (build) => ({
    frame: build.query<FrameView, void>({ query: () => '/frame', providesTags: ['all'] }),
    tonight: build.query<TonightView, void>({ query: () => '/tonight', providesTags: ['all'] }),
    moment: build.query<MomentView, { reachId: string; on: string; localMin: number }>({
      query: (params) => ({ url: '/moment', params }),
      providesTags: ['all'],
    }),
    waters: build.query<WatersView, void>({ query: () => '/waters', providesTags: ['all'] }),
    season: build.query<SeasonStateView, void>({ query: () => '/season', providesTags: ['all'] }),
    reachSeason: build.query<ReachSeasonView, string>({
      query: (reachId) => ({ url: '/season/reach', params: { reachId } }),
      providesTags: ['all'],
    }),
    keepWindows: build.mutation<{ kept: boolean }, SeasonWindows>({
      query: (body) => ({ url: '/season/windows', method: 'POST', body }),
    }),
    larder: build.query<LarderView, void>({ query: () => '/larder', providesTags: ['all'] }),
    patterns: build.query<PatternsView, void>({ query: () => '/patterns', providesTags: ['all'] }),
    pattern: build.query<PatternView | null, string>({
      query: (id) => `/patterns/${id}`,
      providesTags: ['all'],
    }),
    patternsOf: build.query<readonly PatternView[], readonly string[]>({
      queryFn: async (ids, _api, _options, ask) => {
        const answers = await Promise.all(ids.map((id) => ask(`/patterns/${id}`)))
        const failed = answers.find(({ error }) => error)
        return failed?.error
          ? { error: failed.error }
          : { data: answers.flatMap(({ data }) => (data as PatternView | null) ?? []) }
      },
      providesTags: ['all'],
    }),
    drawings: build.query<DrawingsView, readonly string[]>({
      query: (keys) => ({ url: '/drawings', params: { keys: keys.join(',') } }),
    }),
    families: build.query<FamiliesView, void>({ query: () => '/families', providesTags: ['all'] }),
    catalogue: build.query<FamiliesView, void>({ query: () => '/catalogue', providesTags: ['shipped'] }),
    family: build.query<FamilyFull, string>({ query: (id) => `/families/${id}`, providesTags: ['shipped'] }),
    bench: build.query<BenchView, void>({ query: () => '/bench', providesTags: ['all'] }),
    plan: build.query<PlanView, void>({ query: () => '/plan', providesTags: ['all'] }),
    boxes: build.query<BoxesView, void>({ query: () => '/boxes', providesTags: ['all'] }),
    history: build.query<HistoryView, void>({ query: () => '/history', providesTags: ['all'] }),
    ledger: build.query<LedgerView, LedgerOf>({
      query: (params) => ({ url: '/ledger', params }),
      providesTags: ['all'],
    }),
    outings: build.query<OutingsView, void>({ query: () => '/outings', providesTags: ['all'] }),
    stores: build.query<StoresView, void>({ query: () => '/stores', providesTags: ['all'] }),
    materialUses: build.query<UsesView, string>({
      query: (id) => `/materials/${id}/uses`,
      providesTags: ['all'],
    }),
    measurements: build.query<MeasurementsView, void>({ query: () => '/measurements', providesTags: ['all'] }),
    actions: build.query<ActionsView, void>({ query: () => '/actions', providesTags: ['all'] }),
    search: build.query<SearchView, string>({ query: (q) => ({ url: '/search', params: { q } }) }),
    instrument: build.mutation<InstrumentReading, { kind: 'scale' | 'timer'; expected: number }>({
      query: (body) => ({ url: '/instruments/read', method: 'POST', body }),
    }),
    takePhoto: build.mutation<{ photoId: PhotoId }, Blob>({
      query: (body) => ({ url: '/photos', method: 'POST', body }),
    }),
    // rows come as text from the worker that read them, so that the page does not stand still over them
    takeReadings: build.mutation<CommandResult, ReadingsAsText>({
      query: ({ rowsJson, importId, id, ...readings }) => ({
        url: '/imports',
        method: 'POST',
        body: new Blob(
          [
            `{"id":${JSON.stringify(id)},"kind":"readingsImport","body":{"importId":${JSON.stringify(importId)},"readings":{"rows":${rowsJson},${JSON.stringify(readings).slice(1)}}}`,
          ],
          { type: 'application/json' },
        ),
      }),
      invalidatesTags: (_result, error) => (error ? [] : ['all']),
    }),
    command: build.mutation<CommandResult, Sent>({
      query: (body) => ({
        url: TABLES.has(body.kind) ? '/imports' : '/commands',
        method: 'POST',
        body,
      }),
      // the settings say how hook sizes are counted, so that what shipped reads anew
      invalidatesTags: (_result, error, { kind }) => {
        if (error) return []
        return kind === 'settingsSave' || kind === 'familyCreate' || kind === 'undo'
          ? ['all', 'shipped']
          : ['all']
      },
    }),
  }),
})

export const {
  useFrameQuery, useTonightQuery, useMomentQuery, useWatersQuery, useLarderQuery, usePatternsQuery, useFamiliesQuery,
  useCatalogueQuery, useFamilyQuery, useBenchQuery, useBoxesQuery, useOutingsQuery, useStoresQuery, useActionsQuery, useSearchQuery,
  useMeasurementsQuery, useInstrumentMutation, useSeasonQuery, useReachSeasonQuery, useKeepWindowsMutation, useTakeReadingsMutation,
  usePlanQuery, useTakePhotoMutation, useMaterialUsesQuery, usePatternQuery, usePatternsOfQuery, useHistoryQuery,
  useLedgerQuery,
} = api // prettier-ignore

/** A table of readings for a reach, its rows as JSON. */
export interface ReadingsAsText {
  readonly id: string
  readonly importId: string
  readonly reachId: string
  readonly depthMm: number
  readonly source: 'entered' | 'pasted' | 'file' | 'simulated'
  readonly rowsJson: string
}

/** What a failed request says: the server's problem, or that it could not be reached. */
export type Failure = { readonly kind: 'problem'; readonly problem: Problem } | { readonly kind: 'unreachable' }

/** Reads an error of RTK Query; the one place that does. */
export function toFailure(error: unknown): Failure {
  const { data } = (error ?? {}) as { data?: unknown }
  if (data && typeof data === 'object' && 'code' in data) return { kind: 'problem', problem: data as Problem }
  return { kind: 'unreachable' }
}
