import express, { Router } from 'express'
import type { RequestHandler } from 'express'
import {
  drawingsQuery,
  familyParams,
  instrumentAsk,
  ledgerQuery,
  momentQuery,
  materialParams,
  patternParams,
  photoParams,
  reachSeasonQuery,
  routes,
  searchQuery,
  seasonWindowsBody,
} from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import type { CommandService } from '../commands/commandService.ts'
import type { Database } from '../db/database.ts'
import { makeInstruments } from '../instruments/instruments.ts'
import { invalid } from '../problems/problem.ts'
import { makeAnswerCache } from './answerCache.ts'
import { benchView } from '../views/bench.ts'
import { boxesView } from '../views/boxes.ts'
import { frameView } from '../views/frame.ts'
import { historyView } from '../views/history.ts'
import { larderView } from '../views/larder.ts'
import { compartmentLedger, drawerLedger } from '../views/ledger.ts'
import { actionsView } from '../views/actions.ts'
import { catalogueView, familiesView, familyView } from '../views/families.ts'
import { outingsView } from '../views/outings.ts'
import { searchView } from '../views/search.ts'
import { storesView, usesView } from '../views/stores.ts'
import { watersView } from '../views/waters.ts'
import { drawingsOf } from '../views/drawings.ts'
import { measurementsView } from '../views/measurements.ts'
import { momentView } from '../views/moment.ts'
import { reachSeasonView, seasonStateView } from '../views/season.ts'
import { readPhoto, takePhoto } from '../upkeep/photos.ts'
import { patternsView, patternView } from '../views/patterns.ts'
import { localTime } from '../clock/localTime.ts'
import { planView } from '../views/plan.ts'
import { tonightView } from '../views/tonight.ts'
import { loadSettings } from '../read/settings.ts'
import { keepWindows } from '../upkeep/keepWindows.ts'

/** What routes work with. */
export interface ApiContext {
  readonly database: Database
  readonly clock: Clock
  readonly commands: CommandService
  readonly buildId: string
}

const BODY_LIMIT = '256kb'
const PHOTO_LIMIT = '8mb'
/** Ten years of hourly readings, or the windows of a reach. */
const IMPORT_LIMIT = '4mb'

/** All routes: parse, call a service, answer. */
export function apiRouter({ database, clock, commands, buildId }: ApiContext): Router {
  const router = Router()
  const { db } = database
  const cache = makeAnswerCache(database.writeCount)
  const get = (path: string, answer: (request: Parameters<RequestHandler>[0]) => Promise<unknown>) =>
    router.get(path, async (request, response) => {
      const kept = await cache.answer(request.originalUrl, () => answer(request))
      response.type('json').vary('Accept-Encoding')
      if (request.acceptsEncodings('gzip'))
        response.setHeader('Content-Encoding', 'gzip').end(await kept.gzipped())
      else response.end(kept.text)
    })
  const usualPar = async () => (await loadSettings(db)).body.parCount
  const today = async () => localTime(clock.nowMs(), (await loadSettings(db)).body.timeZone).on

  router.use((_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store')
    response.setHeader('X-Build', buildId)
    next()
  })
  get(routes.frame.path, () => frameView(db, clock, buildId))
  get(routes.tonight.path, () => tonightView(db, clock))
  get(routes.moment.path, async ({ query }) => {
    const parsed = momentQuery.safeParse(query)
    if (!parsed.success) throw invalid(parsed.error)
    const { parCount, units } = (await loadSettings(db)).body
    return momentView(db, parsed.data, parCount, units)
  })
  get(routes.season.path, () => seasonStateView(db))
  get(routes.reachSeason.path, ({ query }) => {
    const parsed = reachSeasonQuery.safeParse(query)
    if (!parsed.success) throw invalid(parsed.error)
    return reachSeasonView(db, parsed.data.reachId)
  })
  router.post(routes.seasonWindows.path, express.json({ limit: IMPORT_LIMIT }), async (request, response) => {
    const parsed = seasonWindowsBody.safeParse(request.body)
    if (!parsed.success) throw invalid(parsed.error)
    response.json({ kept: await keepWindows(database, parsed.data) })
  })
  router.post(routes.imports.path, express.json({ limit: IMPORT_LIMIT }), async (request, response) => {
    response.json(await commands.execute(request.body))
  })
  get(routes.plan.path, () => planView(db, clock))
  get(routes.waters.path, () => watersView(db))
  get(routes.larder.path, () => larderView(db))
  get(routes.patterns.path, () => patternsView(db))
  get(routes.pattern.path, ({ params }) => {
    const parsed = patternParams.safeParse(params)
    if (!parsed.success) throw invalid(parsed.error)
    return patternView(db, parsed.data.id)
  })
  get(routes.drawings.path, ({ query }) => {
    const parsed = drawingsQuery.safeParse(query)
    if (!parsed.success) throw invalid(parsed.error)
    return drawingsOf(db, parsed.data.keys)
  })
  get(routes.families.path, () => familiesView(db))
  get(routes.catalogue.path, () => catalogueView(db))
  get(routes.family.path, ({ params }) => {
    const parsed = familyParams.safeParse(params)
    if (!parsed.success) throw invalid(parsed.error)
    return familyView(db, parsed.data.id)
  })
  get(routes.bench.path, () => benchView(db))
  get(routes.boxes.path, async () => boxesView(db, await usualPar(), await today()))
  get(routes.outings.path, () => outingsView(db))
  get(routes.history.path, async () => historyView(db, (await loadSettings(db)).body.timeZone))
  get(routes.ledger.path, async ({ query }) => {
    const parsed = ledgerQuery.safeParse(query)
    if (!parsed.success) throw invalid(parsed.error)
    const { timeZone } = (await loadSettings(db)).body
    return 'materialId' in parsed.data
      ? drawerLedger(db, parsed.data.materialId, timeZone)
      : compartmentLedger(db, parsed.data.compartmentId, timeZone)
  })
  get(routes.stores.path, async () => storesView(db, (await loadSettings(db)).body.timeZone))
  get(routes.materialUses.path, ({ params }) => {
    const parsed = materialParams.safeParse(params)
    if (!parsed.success) throw invalid(parsed.error)
    return usesView(db, parsed.data.id)
  })
  get(routes.measurements.path, () => measurementsView(db))
  get(routes.actions.path, () => actionsView(db))
  get(routes.search.path, ({ query }) => {
    const parsed = searchQuery.safeParse(query)
    if (!parsed.success) throw invalid(parsed.error)
    return searchView(db, parsed.data.q)
  })
  router.post(
    routes.photos.path,
    express.raw({ type: () => true, limit: PHOTO_LIMIT }),
    async (request, response) => {
      const bytes: unknown = request.body
      response.json({ photoId: await takePhoto(database, Buffer.isBuffer(bytes) ? bytes : Buffer.alloc(0)) })
    },
  )
  router.get(routes.photo.path, async ({ params }, response) => {
    const parsed = photoParams.safeParse(params)
    if (!parsed.success) throw invalid(parsed.error)
    const { mime, bytes } = await readPhoto(database, parsed.data.id)
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable')
    response.type(mime).end(bytes)
  })
  const readInstrument = makeInstruments()
  router.post(routes.instrument.path, express.json({ limit: BODY_LIMIT }), async (request, response) => {
    const parsed = instrumentAsk.safeParse(request.body)
    if (!parsed.success) throw invalid(parsed.error)
    response.json(await readInstrument(parsed.data.kind, parsed.data.expected))
  })
  router.post(routes.command.path, express.json({ limit: BODY_LIMIT }), async (request, response) => {
    response.json(await commands.execute(request.body))
  })
  return router
}
