import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react'
import type {
  CommandInput,
  CommandKind,
  CommandResult,
  FrameView,
  PatternView,
  Problem,
  RouteAnswer,
  RouteBody,
  RouteName,
  RouteQuery,
  SettingsChange,
} from '../../contract/index.ts'
import { PATHS } from '../../contract/paths.ts'
import { changedSettings } from '../../contract/changedSettings.ts'
import { readQueue, wasRefused } from './outbox/kept.ts'
import { whose } from './whose.ts'

/** A write to send: its id makes a repeated one harmless. */
export interface Sent<Kind extends CommandKind = CommandKind> {
  readonly id: string
  readonly kind: Kind
  readonly body: CommandInput<Kind>
}

/** What is asked, with ids as plain text: the server says where one is none. */
export type Loose<Asked> = Asked extends string
  ? string
  : Asked extends readonly (infer Row)[]
    ? readonly Loose<Row>[]
    : Asked extends object
      ? { readonly [Key in keyof Asked]: Loose<Asked[Key]> }
      : Asked

/** Writes that may take long: their bodies are tables. */
export const TABLES: ReadonlySet<CommandKind> = new Set<CommandKind>([
  'fliesPutIn',
  'storesPutIn',
  'larderPutIn',
])

/** Changes of settings that are on their way, by the ids of their writes: what was changed does not spring back meanwhile. */
const waitingChanges = (): readonly (readonly [string, SettingsChange])[] =>
  readQueue(whose() ?? '').flatMap(({ id, kind, body, refused }) =>
    kind === 'settingsSave' && !refused ? [[id, (body as CommandInput<'settingsSave'>).change] as const] : [],
  )

/** How long a write may take before it is tried again under the same id: the server takes each once. */
const LONGEST_WRITE_MS = 20_000
const LONGEST_TABLE_MS = 120_000

/** Where a route is, with its parameters put in. */
const at = (name: RouteName, id = ''): string => PATHS[name].replace(/:\w+/, id)

/** The server's data. Every write makes all views stale: they are small, local and cheap to ask again. */
export const api = createApi({
  baseQuery: fetchBaseQuery({ baseUrl: '/' }),
  tagTypes: ['all', 'shipped'],
  refetchOnReconnect: true,
  endpoints: (build) => {
    /** A route that is asked nothing, one that is asked a query, and one that names a subject. */
    const plain = <Name extends RouteName>(name: Name, tag: 'all' | 'shipped' = 'all') =>
      build.query<RouteAnswer<Name>, void>({ query: () => at(name), providesTags: [tag] })
    const asked = <Name extends RouteName>(name: Name) =>
      build.query<RouteAnswer<Name>, Loose<RouteQuery<Name>>>({
        query: (params) => ({ url: at(name), params: params as Record<string, unknown> }),
        providesTags: ['all'],
      })
    const named = <Name extends RouteName>(name: Name, tag: 'all' | 'shipped' = 'all') =>
      build.query<RouteAnswer<Name>, string>({ query: (id) => at(name, id), providesTags: [tag] })
    const posted = <Name extends RouteName>(name: Name) =>
      build.mutation<RouteAnswer<Name>, Loose<RouteBody<Name>>>({
        query: (body) => ({ url: at(name), method: 'POST', body }),
      })
    return {
      frame: build.query<FrameView, void>({
        queryFn: async (_asked, _api, _options, ask) => {
          // what waits when it is asked may be delivered before the answer is there, and too late to be in it
          const before = waitingChanges()
          const { data, error } = await ask(at('frame'))
          if (error) return { error }
          const frame = data as FrameView
          const changes = new Map([...before.filter(([id]) => !wasRefused(id)), ...waitingChanges()])
          return { data: { ...frame, settings: [...changes.values()].reduce(changedSettings, frame.settings) } }
        },
        providesTags: ['all'],
      }),
      tonight: asked('tonight'),
      moment: asked('moment'),
      waters: plain('waters'),
      reachSeason: asked('reachSeason'),
      reachDay: asked('reachDay'),
      reachYear: asked('reachYear'),
      seasonSkill: asked('seasonSkill'),
      larder: plain('larder'),
      larderStock: plain('larderStock'),
      patterns: plain('patterns'),
      pattern: named('pattern'),
      patternsOf: build.query<readonly PatternView[], readonly string[]>({
        queryFn: async (ids, _api, _options, ask) => {
          const answers = await Promise.all(ids.map((id) => ask(at('pattern', id))))
          const failed = answers.find(({ error }) => error)
          return failed?.error
            ? { error: failed.error }
            : { data: answers.flatMap(({ data }) => (data as PatternView | null) ?? []) }
        },
        providesTags: ['all'],
      }),
      drawings: build.query<RouteAnswer<'drawings'>, readonly string[]>({
        query: (keys) => ({ url: at('drawings'), params: { keys: keys.join(',') } }),
      }),
      families: plain('families'),
      catalogue: plain('catalogue', 'shipped'),
      family: named('family', 'shipped'),
      bench: plain('bench'),
      plan: plain('plan'),
      boxes: plain('boxes'),
      history: plain('history'),
      ledger: asked('ledger'),
      outings: plain('outings'),
      along: named('along'),
      alongWarmth: named('alongWarmth'),
      drills: plain('drills'),
      rigs: plain('rigs'),
      stores: plain('stores'),
      materialUses: named('materialUses'),
      measurements: plain('measurements'),
      moved: plain('moved'),
      actions: plain('actions'),
      backups: plain('backups'),
      backupPreview: named('backupPreview'),
      pairing: plain('pairing'),
      openPairing: posted('pairingOpen'),
      endPairing: posted('pairingEnd'),
      makeBackup: posted('backupMake'),
      restoreBackup: posted('backupRestore'),
      search: asked('search'),
      instrument: posted('instrument'),
      takePhoto: build.mutation<RouteAnswer<'photos'>, Blob>({
        query: (body) => ({ url: at('photos'), method: 'POST', body }),
      }),
      // rows come as text from the worker that read them, so that the page does not stand still over them
      takeReadings: build.mutation<CommandResult, ReadingsAsText>({
        query: ({ rowsJson, importId, id, ...readings }) => ({
          url: at('imports'),
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
          url: at(TABLES.has(body.kind) ? 'imports' : 'command'),
          method: 'POST',
          body,
          headers: { 'X-Data': whose() ?? undefined },
          timeout: TABLES.has(body.kind) ? LONGEST_TABLE_MS : LONGEST_WRITE_MS,
        }),
        // the settings say how hook sizes are counted, so that what shipped reads anew
        invalidatesTags: (_result, error, { kind }) => {
          if (error) return []
          return kind === 'settingsSave' || kind === 'familyCreate' || kind === 'undo'
            ? ['all', 'shipped']
            : ['all']
        },
      }),
    }
  },
})

export const {
  useInstrumentMutation, useTakeReadingsMutation, useTakePhotoMutation, useMakeBackupMutation, useRestoreBackupMutation, useOpenPairingMutation, useEndPairingMutation,
} = api // prettier-ignore

/** A table of readings for a reach, its rows as JSON. */
export interface ReadingsAsText {
  readonly id: string
  readonly importId: string
  readonly reachId: string
  readonly depthMm: number
  readonly source: CommandInput<'readingsImport'>['readings']['source']
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
