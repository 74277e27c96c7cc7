import { z } from 'zod'
import {
  civilDate,
  compartmentId,
  familyId,
  localMinute,
  materialId,
  patternId,
  photoId,
  reachId,
} from './common.ts'
import { command, commandResult } from './commands/index.ts'
import { instrumentAsk, instrumentReading } from './records/instrument.ts'
import { actionsView, frameView, searchView } from './views/frame.ts'
import { historyView } from './views/history.ts'
import { ledgerView } from './views/ledger.ts'
import { measurementsView } from './views/measurements.ts'
import { seasonWindowsBody } from './records/season.ts'
import { reachSeasonView, seasonStateView } from './views/season.ts'
import { momentView } from './views/moment.ts'
import { benchView } from './views/bench.ts'
import { boxesView } from './views/boxes.ts'
import { familiesView, familyFull } from './views/families.ts'
import { larderView } from './views/larder.ts'
import { outingsView } from './views/outings.ts'
import { patternView, patternsView } from './views/patterns.ts'
import { storesView, usesView } from './views/stores.ts'
import { watersView } from './views/waters.ts'
import { planView } from './views/plan.ts'
import { tonightView } from './views/tonight.ts'
import { drawingKey, drawingsView } from './views/parts.ts'

/** A route of the server: what it takes and what it answers. OpenAPI is made from this list. */
export interface Route {
  readonly method: 'get' | 'post'
  readonly path: string
  readonly summary: string
  readonly query?: z.ZodObject
  readonly params?: z.ZodObject
  readonly body?: z.ZodType
  readonly answer: z.ZodType
}

/** Which reach, day and minute of the day. */
export const momentQuery = z.object({
  reachId,
  on: civilDate,
  localMin: z.coerce.number().pipe(localMinute),
})

/** Which reach. */
export const reachSeasonQuery = z.object({ reachId })
const kept = z.object({ kept: z.boolean() })

/** What is looked for, 1 to 80 characters. */
export const searchQuery = z.object({ q: z.string().trim().min(1).max(80) })
/** Drawings asked for at once. */
export const MOST_DRAWINGS = 60
/** Keys of drawings, joined by commas, at most so many. */
export const drawingsQuery = z.object({
  keys: z
    .string()
    .transform((text) => text.split(','))
    .pipe(z.array(drawingKey).min(1).max(MOST_DRAWINGS)),
})
/** Which picture. */
export const photoParams = z.object({ id: photoId })
/** Which drawer. */
export const materialParams = z.object({ id: materialId })
/** Which pattern. */
export const patternParams = z.object({ id: patternId })
/** Which family. */
export const familyParams = z.object({ id: familyId })

/** Every route of the server with what it takes and answers; OpenAPI is made from it. */
export const routes = {
  frame: { method: 'get', path: '/api/frame', summary: 'What stands round every place', answer: frameView },
  tonight: { method: 'get', path: '/api/tonight', summary: 'Likely, lacking, tie, buy', answer: tonightView },
  plan: {
    method: 'get',
    path: '/api/plan',
    summary: 'What a plan of what to tie is made from',
    answer: planView,
  },
  moment: {
    method: 'get',
    path: '/api/moment',
    summary: 'Foods and flies by depth at a moment',
    query: momentQuery,
    answer: momentView,
  },
  season: {
    method: 'get',
    path: '/api/season',
    summary: 'How warm each reach is, and what its windows hang on',
    answer: seasonStateView,
  },
  reachSeason: {
    method: 'get',
    path: '/api/season/reach',
    summary: 'Readings, windows and notes of a reach',
    query: reachSeasonQuery,
    answer: reachSeasonView,
  },
  seasonWindows: {
    method: 'post',
    path: '/api/season/windows',
    summary: 'Keeps the windows that a page worked out; they are derived and may be dropped',
    body: seasonWindowsBody,
    answer: kept,
  },
  imports: {
    method: 'post',
    path: '/api/imports',
    summary: 'A command that takes a table in; its body may be larger than those of other commands',
    body: command,
    answer: commandResult,
  },
  waters: { method: 'get', path: '/api/waters', summary: 'Waters with their reaches', answer: watersView },
  larder: { method: 'get', path: '/api/larder', summary: 'Foods by life stage', answer: larderView },
  patterns: {
    method: 'get',
    path: '/api/patterns',
    summary: 'Patterns with variants and figures',
    answer: patternsView,
  },
  pattern: {
    method: 'get',
    path: '/api/patterns/:id',
    summary: 'One pattern with its dressing; null where it is gone',
    params: patternParams,
    answer: patternView.nullable(),
  },
  drawings: {
    method: 'get',
    path: '/api/drawings',
    summary: 'Drawings by their keys, joined by commas',
    query: drawingsQuery,
    answer: drawingsView,
  },
  families: {
    method: 'get',
    path: '/api/families',
    summary: 'Families that some drawer belongs to',
    answer: familiesView,
  },
  catalogue: {
    method: 'get',
    path: '/api/catalogue',
    summary: 'All families, without physics',
    answer: familiesView,
  },
  family: {
    method: 'get',
    path: '/api/families/:id',
    summary: 'One family with its physics',
    params: familyParams,
    answer: familyFull,
  },
  bench: {
    method: 'get',
    path: '/api/bench',
    summary: 'The batch on the vise and the queue',
    answer: benchView,
  },
  boxes: {
    method: 'get',
    path: '/api/boxes',
    summary: 'Boxes with their compartments, and what is below par',
    answer: boxesView,
  },
  history: {
    method: 'get',
    path: '/api/history',
    summary: 'What became of the flies of each variant',
    answer: historyView,
  },
  ledger: {
    method: 'get',
    path: '/api/ledger',
    summary: 'What came into a compartment or a drawer and left it, newest first',
    query: z.object({ compartmentId: compartmentId.optional(), materialId: materialId.optional() }),
    answer: ledgerView,
  },
  outings: { method: 'get', path: '/api/outings', summary: 'Outings, planned and done', answer: outingsView },
  stores: { method: 'get', path: '/api/stores', summary: 'Materials on hand', answer: storesView },
  materialUses: {
    method: 'get',
    path: '/api/materials/:id/uses',
    summary: 'Variants whose current recipe takes a material',
    params: materialParams,
    answer: usesView,
  },
  measurements: {
    method: 'get',
    path: '/api/measurements',
    summary: 'Drop tests and weighings, and what they say',
    answer: measurementsView,
  },
  actions: {
    method: 'get',
    path: '/api/actions',
    summary: 'Latest actions, newest first',
    answer: actionsView,
  },
  search: {
    method: 'get',
    path: '/api/search',
    summary: 'Find anything',
    query: searchQuery,
    answer: searchView,
  },
  instrument: {
    method: 'post',
    path: '/api/instruments/read',
    summary: 'A reading of scale or drop timer; keeps nothing',
    body: instrumentAsk,
    answer: instrumentReading,
  },
  photos: {
    method: 'post',
    path: '/api/photos',
    summary: 'Takes a picture in (PNG, JPEG or WebP, at most 8 MB), made small; a command attaches it',
    answer: z.object({ photoId }),
  },
  photo: {
    method: 'get',
    path: '/api/photos/:id',
    summary: 'A picture, as WebP',
    params: photoParams,
    answer: z.string(),
  },
  command: {
    method: 'post',
    path: '/api/commands',
    summary: 'Every write; the body of each kind is checked against its own schema',
    body: command,
    answer: commandResult,
  },
} as const satisfies Readonly<Record<string, Route>>
