import { CLARITIES } from '../core/index.ts'
import { z } from 'zod'
import { PATHS } from './paths.ts'
import { figure, listed, written } from './limited.ts'
import {
  actionId,
  civilDate,
  familyId,
  foodStageId,
  localMinute,
  materialId,
  outingId,
  patternId,
  photoId,
  reachId,
} from './common.ts'
import { pairingView } from './paired.ts'
import { command, commandResult } from './commands/index.ts'
import { instrumentAsk, instrumentReading } from './records/instrument.ts'
import { backupName, backupPreview, backupsView } from './views/backups.ts'
import { actionsView, frameView, searchView } from './views/frame.ts'
import { historyView } from './views/history.ts'
import { ledgerQuery, ledgerView } from './views/ledger.ts'
import { measurementsView } from './views/measurements.ts'
import { movedView } from './views/moved.ts'
import { feedingRow, reachSeasonView, seasonSkillView } from './views/season.ts'
import { momentView } from './views/moment.ts'
import { benchView } from './views/bench.ts'
import { boxesView } from './views/boxes.ts'
import { familiesView, familyFull } from './views/families.ts'
import { larderStockView, larderView } from './views/larder.ts'
import { alongView, alongWarmth } from './views/along.ts'
import { drillsView } from './views/drills.ts'
import { outingsView } from './views/outings.ts'
import { rigsView } from './views/rigs.ts'
import { patternView, patternsView } from './views/patterns.ts'
import { storesView, usesView } from './views/stores.ts'
import { watersView } from './views/waters.ts'
import { planView } from './views/plan.ts'
import { standingsView } from './views/standings.ts'
import { tonightView } from './views/tonight.ts'
import { drawingKey, drawingsView } from './views/parts.ts'
import { workView } from './views/work.ts'

/** A route of the server: what it takes and what it answers. OpenAPI is made from this list. */
export interface Route {
  readonly method: 'get' | 'post'
  readonly path: string
  readonly summary: string
  /** an object, or a choice of objects */
  readonly query?: z.ZodObject | z.ZodUnion<readonly z.ZodObject[]>
  readonly params?: z.ZodObject
  readonly body?: z.ZodType
  /** kinds of media that a body of bytes may be, in the place of a body of JSON */
  readonly bytes?: readonly string[]
  /** kind of media of an answer that is no JSON */
  readonly media?: string
  readonly answer: z.ZodType
}

/** What a user says of an hour: whether the water rises or falls, the weather, the air, the water. */
const saidOfHour = {
  level: z.enum(['falling', 'steady', 'rising']).optional(),
  weather: z.enum(['bright', 'dull', 'windy', 'calm', 'rain']).optional(),
  clarity: z.enum(CLARITIES).optional(),
  airTempC: z.coerce.number().pipe(figure('airTempC')).optional(),
  waterTempC: z.coerce.number().pipe(figure('waterTempC')).optional(),
}

/** Which reach, day and minute of the day. */
export const momentQuery = z.object({
  reachId,
  on: civilDate,
  localMin: z.coerce.number().pipe(localMinute),
  ...saidOfHour,
})
/** A day at a reach, with what is known of its weather and water. */
export const reachDayQuery = z.object({ reachId, on: civilDate, ...saidOfHour })
/** A year at a reach. */
export const tonightQuery = z.object({ minutes: z.coerce.number().pipe(figure('eveningMinutes')).optional() })
export const reachYearQuery = z.object({ reachId, year: z.coerce.number().pipe(figure('year')) })

/** A stage at a reach. */
export const seasonSkillQuery = z.object({ reachId, foodStageId })

/** Which reach. */
export const reachSeasonQuery = z.object({ reachId, on: civilDate.optional() })

/** What is looked for, 1 to 80 characters. */
export const searchQuery = z.object({ q: written('search', { trimmed: true }) })
/** Keys of drawings, joined by commas, at most so many. */
export const drawingsQuery = z.object({
  keys: z
    .string()
    .transform((text) => text.split(','))
    .pipe(listed('drawings', drawingKey)),
})
/** Which picture. */
export const photoParams = z.object({ id: photoId })
/** Which outing. */
export const outingParams = z.object({ id: outingId })
/** Which drawer. */
export const materialParams = z.object({ id: materialId })
/** Which pattern. */
export const patternParams = z.object({ id: patternId })
/** Which family. */
export const familyParams = z.object({ id: familyId })

/** Every route of the server with what it takes and answers; OpenAPI is made from it. */
export const routes = {
  frame: { method: 'get', path: PATHS.frame, summary: 'What stands round every place', answer: frameView },
  tonight: {
    method: 'get',
    path: PATHS.tonight,
    summary: 'Likely, lacking, tie, buy: what to tie fits into the minutes at the bench, where they are said',
    query: tonightQuery,
    answer: tonightView,
  },
  standings: {
    method: 'get',
    path: PATHS.standings,
    summary: 'Holes, what is thin and what is covered of what the water ahead asks for',
    answer: standingsView,
  },
  plan: {
    method: 'get',
    path: PATHS.plan,
    summary: 'What a plan of what to tie is made from',
    answer: planView,
  },
  moment: {
    method: 'get',
    path: PATHS.moment,
    summary: 'Foods and flies by depth at a moment',
    query: momentQuery,
    answer: momentView,
  },
  reachSeason: {
    method: 'get',
    path: PATHS.reachSeason,
    summary: 'Readings, windows and notes of a reach',
    query: reachSeasonQuery,
    answer: reachSeasonView,
  },
  reachDay: {
    method: 'get',
    path: PATHS.reachDay,
    summary: 'What trout are on through a day, by half hours',
    query: reachDayQuery,
    answer: feedingRow,
  },
  seasonSkill: {
    method: 'get',
    path: PATHS.seasonSkill,
    summary: 'How good the forecasts of a stage were at a reach, as they would have been issued',
    query: seasonSkillQuery,
    answer: seasonSkillView,
  },
  reachYear: {
    method: 'get',
    path: PATHS.reachYear,
    summary: 'What trout are on through a year, by weeks',
    query: reachYearQuery,
    answer: feedingRow,
  },
  imports: {
    method: 'post',
    path: PATHS.imports,
    summary: 'A command that takes a table in; its body may be larger than those of other commands',
    body: command,
    answer: commandResult,
  },
  waters: { method: 'get', path: PATHS.waters, summary: 'Waters with their reaches', answer: watersView },
  larder: { method: 'get', path: PATHS.larder, summary: 'Foods by life stage', answer: larderView },
  larderStock: {
    method: 'get',
    path: PATHS.larderStock,
    summary: 'Flies on hand by life stage of what they serve',
    answer: larderStockView,
  },
  patterns: {
    method: 'get',
    path: PATHS.patterns,
    summary: 'Patterns with variants and figures',
    answer: patternsView,
  },
  pattern: {
    method: 'get',
    path: PATHS.pattern,
    summary: 'One pattern with its dressing; null where it is gone',
    params: patternParams,
    answer: patternView.nullable(),
  },
  drawings: {
    method: 'get',
    path: PATHS.drawings,
    summary: 'Sketches of flies by the keys of their drawings, joined by commas',
    query: drawingsQuery,
    answer: drawingsView,
  },
  families: {
    method: 'get',
    path: PATHS.families,
    summary: 'Families that some drawer belongs to',
    answer: familiesView,
  },
  catalogue: {
    method: 'get',
    path: PATHS.catalogue,
    summary: 'All families, without physics',
    answer: familiesView,
  },
  family: {
    method: 'get',
    path: PATHS.family,
    summary: 'One family with its physics',
    params: familyParams,
    answer: familyFull,
  },
  bench: {
    method: 'get',
    path: PATHS.bench,
    summary: 'The batch on the vise and the queue',
    answer: benchView,
  },
  boxes: {
    method: 'get',
    path: PATHS.boxes,
    summary: 'Boxes with their compartments, and what is below par',
    answer: boxesView,
  },
  history: {
    method: 'get',
    path: PATHS.history,
    summary: 'What became of the flies of each variant',
    answer: historyView,
  },
  ledger: {
    method: 'get',
    path: PATHS.ledger,
    summary: 'What came into a compartment or a drawer and left it, newest first',
    query: ledgerQuery,
    answer: ledgerView,
  },
  outings: { method: 'get', path: PATHS.outings, summary: 'Outings, planned and done', answer: outingsView },
  along: {
    method: 'get',
    path: PATHS.along,
    summary: 'All that an outing needs at the water; null where it has no reach, or is gone',
    params: outingParams,
    answer: alongView.nullable(),
  },
  alongWarmth: {
    method: 'get',
    path: PATHS.alongWarmth,
    summary: 'What fish would be on at an outing, were its water read warmer or colder than is reckoned',
    params: outingParams,
    answer: alongWarmth.nullable(),
  },
  alongPage: {
    method: 'get',
    path: PATHS.alongPage,
    summary: 'One file with all that an outing needs at the water; it asks no network',
    params: outingParams,
    media: 'text/html',
    answer: z.string(),
  },
  drills: {
    method: 'get',
    path: PATHS.drills,
    summary: 'What drills are made of, and how each of their subjects stands',
    answer: drillsView,
  },
  rigs: { method: 'get', path: PATHS.rigs, summary: 'Rigs, by name', answer: rigsView },
  stores: { method: 'get', path: PATHS.stores, summary: 'Materials on hand', answer: storesView },
  materialUses: {
    method: 'get',
    path: PATHS.materialUses,
    summary: 'Variants whose current recipe takes a material',
    params: materialParams,
    answer: usesView,
  },
  measurements: {
    method: 'get',
    path: PATHS.measurements,
    summary: 'Drop tests and weighings, and what they say',
    answer: measurementsView,
  },
  moved: {
    method: 'get',
    path: PATHS.moved,
    summary: 'Flies whose figures moved with the last version, by more than their band',
    answer: movedView,
  },
  actions: {
    method: 'get',
    path: PATHS.actions,
    summary: 'Latest actions, newest first',
    answer: actionsView,
  },
  search: {
    method: 'get',
    path: PATHS.search,
    summary: 'Find anything',
    query: searchQuery,
    answer: searchView,
  },
  instrument: {
    method: 'post',
    path: PATHS.instrument,
    summary: 'A reading of scale or drop timer; keeps nothing',
    body: instrumentAsk,
    answer: instrumentReading,
  },
  photos: {
    method: 'post',
    path: PATHS.photos,
    summary: 'Takes a picture in (PNG, JPEG or WebP, at most 8 MB), made small; a command attaches it',
    bytes: ['image/png', 'image/jpeg', 'image/webp'],
    answer: z.object({ photoId }),
  },
  photo: {
    method: 'get',
    path: PATHS.photo,
    summary: 'A picture, as WebP',
    params: photoParams,
    media: 'image/webp',
    answer: z.string(),
  },
  alive: {
    method: 'get',
    path: PATHS.alive,
    summary: 'Which process answers here, and with which data; free of the database',
    answer: z.object({ instance: z.string(), dataId: z.string() }),
  },
  work: {
    method: 'get',
    path: PATHS.work,
    summary: 'Long writes that are under way: lines that are through, of how many',
    answer: workView,
  },
  workStop: {
    method: 'post',
    path: PATHS.workStop,
    summary: 'Stops a long write; nothing of it is kept',
    body: z.object({ id: actionId }).strict(),
    answer: z.object({ stopped: z.boolean() }),
  },
  backups: { method: 'get', path: PATHS.backups, summary: 'Copies of the database', answer: backupsView },
  backupPreview: {
    method: 'get',
    path: PATHS.backupPreview,
    summary: 'What would change if a copy were put back',
    params: z.object({ id: backupName }),
    answer: backupPreview,
  },
  valley: {
    method: 'post',
    path: PATHS.valley,
    summary: 'Opens the made-up valley in a server of its own, apart from these data, and says where',
    body: z.object({}).strict(),
    answer: z.object({ address: z.string() }),
  },
  backupMake: {
    method: 'post',
    path: PATHS.backupMake,
    summary: 'Copies the database now',
    body: z.object({}).strict(),
    answer: backupsView,
  },
  backupRestore: {
    method: 'post',
    path: PATHS.backupRestore,
    summary: 'Puts a copy in the place of the database; what is there now is kept beside it',
    body: z.object({ name: backupName }).strict(),
    answer: z.object({ restoring: z.boolean() }),
  },
  pairing: {
    method: 'get',
    path: PATHS.pairing,
    summary: 'Phones that may come in from the home network, and the code that admits one more',
    answer: pairingView,
  },
  pairingOpen: {
    method: 'post',
    path: PATHS.pairingOpen,
    summary:
      'Opens a code for one phone: for ten minutes and five tries; an older code is worth nothing any more',
    body: z.object({}).strict(),
    answer: pairingView,
  },
  pairingEnd: {
    method: 'post',
    path: PATHS.pairingEnd,
    summary: 'Shows a phone out',
    body: z.object({ deviceId: z.uuid() }).strict(),
    answer: pairingView,
  },
  command: {
    method: 'post',
    path: PATHS.command,
    summary: 'Every write; the body of each kind is checked against its own schema',
    body: command,
    answer: commandResult,
  },
} as const satisfies Readonly<Record<string, Route>>

/** Name of a route. */
export type RouteName = keyof typeof routes
type RouteOf<Name extends RouteName> = (typeof routes)[Name]

/** What a route answers, as the page gets it. */
export type RouteAnswer<Name extends RouteName> = z.output<RouteOf<Name>['answer']>

/** What a route is asked in its query, as it is written. */
export type RouteQuery<Name extends RouteName> =
  RouteOf<Name> extends { query: z.ZodType } ? z.input<RouteOf<Name>['query']> : undefined

/** What a route takes as its body, as it is sent. */
export type RouteBody<Name extends RouteName> =
  RouteOf<Name> extends { body: z.ZodType } ? z.input<RouteOf<Name>['body']> : undefined

/** What the server gets of a route's query, parameters and body once they were checked. */
export type RouteAsked<Name extends RouteName> = {
  readonly [
    Part in 'query' | 'params' | 'body' as RouteOf<Name> extends Record<Part, z.ZodType> ? Part : never
  ]: RouteOf<Name> extends Record<Part, infer Schema extends z.ZodType> ? z.output<Schema> : never
}
