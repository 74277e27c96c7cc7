import express, { Router } from 'express'
import type { RequestHandler } from 'express'
import { routes } from '../../contract/index.ts'
import type { RouteAnswer, RouteAsked, RouteName } from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import type { CommandService } from '../commands/commandService.ts'
import type { Database } from '../db/database.ts'
import { makeInstruments } from '../instruments/instruments.ts'
import { ProblemError } from '../problems/problem.ts'
import { heard, makeAnswerCache } from './answerCache.ts'
import { sendAlongFile } from './pages.ts'
import type { FillPage } from './pages.ts'
import { askedOf } from './asked.ts'
import { benchView } from '../views/bench.ts'
import { boxesView } from '../views/boxes.ts'
import { frameView } from '../views/frame.ts'
import { historyView } from '../views/history.ts'
import { larderStockView, larderView } from '../views/larder.ts'
import { compartmentLedger, drawerLedger } from '../views/ledger.ts'
import { actionsView } from '../views/actions.ts'
import { catalogueView, familiesView, familyView } from '../views/families.ts'
import { alongView } from '../views/along.ts'
import { warmthAlong } from '../views/alongWarmth.ts'
import { carriedAlong } from '../views/carried.ts'
import { drillsView } from '../views/drills.ts'
import { outingsView } from '../views/outings.ts'
import { rigsView } from '../views/rigs.ts'
import { searchView } from '../views/search.ts'
import { standingsView } from '../views/standings.ts'
import { storesView, usesView } from '../views/stores.ts'
import { watersView } from '../views/waters.ts'
import { drawingsOf } from '../views/drawings.ts'
import { measurementsView } from '../views/measurements.ts'
import { movedView } from '../views/moved.ts'
import { momentView } from '../views/moment.ts'
import { reachSeasonView } from '../views/season.ts'
import { loadHours, loadYear } from '../read/feedingRows.ts'
import { loadSkill } from '../read/season.ts'
import type { Pairing } from '../pairing/pairing.ts'
import type { BackupService } from '../upkeep/backupService.ts'
import type { Valley } from '../upkeep/valley.ts'
import { readPhoto, takePhoto } from '../upkeep/photos.ts'
import { patternsView, patternView } from '../views/patterns.ts'
import { localTime } from '../clock/localTime.ts'
import { planView } from '../views/plan.ts'
import { tonightView } from '../views/tonight.ts'
import { loadSettings } from '../read/settings.ts'

/** What routes work with. */
export interface ApiContext {
  readonly database: Database
  readonly clock: Clock
  readonly commands: CommandService
  readonly buildId: string
  readonly backups: BackupService
  readonly valley: Valley | null
  /** null where no pages were built */
  readonly fillPage: FillPage | null
  readonly alive: RouteAnswer<'alive'>
  readonly pairing: Pairing
}

const BODY_LIMIT = '256kb'
const PHOTO_LIMIT = '8mb'
/** Ten years of hourly readings, or the windows of a reach. */
const IMPORT_LIMIT = '4mb'

/** Routes of bytes and pages, which are no JSON. */
function serveFiles(
  router: Router,
  {
    database,
    clock,
    fillPage,
    dataId,
  }: Pick<ApiContext, 'database' | 'fillPage' | 'clock'> & { readonly dataId: string },
): void {
  router.post(
    routes.photos.path,
    express.raw({ type: () => true, limit: PHOTO_LIMIT }),
    async (request, response) => {
      const bytes: unknown = request.body
      response.json({ photoId: await takePhoto(database, Buffer.isBuffer(bytes) ? bytes : Buffer.alloc(0)) })
    },
  )
  router.get(routes.alongPage.path, async (request, response) => {
    const { id } = askedOf('alongPage', request).params
    sendAlongFile(response, fillPage, await carriedAlong(database.db, clock, { outingId: id, dataId }))
  })
  router.get(routes.photo.path, async (request, response) => {
    const { mime, bytes } = await readPhoto(database, askedOf('photo', request).params.id)
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable')
    response.type(mime).end(bytes)
  })
}

/** All routes: what each is asked is checked against the contract, a service is called, its answer goes out. */
export function apiRouter({
  database,
  commands,
  buildId,
  backups,
  valley,
  fillPage,
  alive,
  pairing,
  ...context
}: ApiContext): Router {
  const clock = heard(context.clock)
  const router = Router()
  const { db } = database
  const cache = makeAnswerCache(db)
  /** A route that only reads; its answer is kept until the next write. */
  const read = <Name extends RouteName>(
    name: Name,
    answer: (asked: RouteAsked<Name>) => Promise<RouteAnswer<Name>>,
  ) =>
    router.get(routes[name].path, async (request, response) => {
      const asked = askedOf(name, request)
      const kept = await cache.answer(request.originalUrl, () => answer(asked))
      response.type('json').end(kept)
    })
  /** A route that takes a body of JSON. */
  const take = <Name extends RouteName>(
    name: Name,
    limit: string,
    answer: (asked: RouteAsked<Name>) => Promise<RouteAnswer<Name>>,
  ) =>
    router.post(routes[name].path, express.json({ limit }), async (request, response) => {
      response.json(await answer(askedOf(name, request)))
    })
  /** A write: the service checks it, since each kind of command has a body of its own. */
  const write = (name: 'command' | 'imports', limit: string) =>
    router.post(routes[name].path, ownData, express.json({ limit }), async (request, response) => {
      response.json(await commands.execute(request.body))
    })
  /** A page that was opened on other data, before this server came to its address, does not write here. */
  const ownData: RequestHandler = (request, _response, next) => {
    const meant = request.get('X-Data')
    if (meant === undefined || meant === alive.dataId) next()
    else next(new ProblemError('otherData', 'Other data are served here now: it is kept for its own.'))
  }
  const settings = async () => (await loadSettings(db)).body
  const today = async () => localTime(clock.nowMs(), (await settings()).timeZone).on

  router.use('/api', (_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store')
    response.setHeader('X-Build', buildId)
    next()
  })
  router.get(routes.alive.path, (_request, response) => {
    response.json(alive)
  })
  router.get(routes.backups.path, async (_request, response) => {
    response.json(await backups.view())
  })
  router.get(routes.backupPreview.path, async (request, response) => {
    response.json(await backups.preview(askedOf('backupPreview', request).params.id))
  })
  router.get(routes.work.path, (_request, response) => {
    response.json({ work: [...commands.works.all()] } satisfies RouteAnswer<'work'>)
  })
  take('workStop', BODY_LIMIT, ({ body }) => Promise.resolve({ stopped: commands.works.stop(body.id) }))
  take('valley', BODY_LIMIT, () => {
    if (!valley) throw new ProblemError('notFound', 'The valley is opened from data of your own.')
    return valley.open()
  })
  take('backupMake', BODY_LIMIT, () => backups.make())
  take('backupRestore', BODY_LIMIT, ({ body }) => backups.restore(body.name))
  router.get(routes.pairing.path, (_request, response) => {
    response.json(pairing.view() satisfies RouteAnswer<'pairing'>)
  })
  take('pairingOpen', BODY_LIMIT, () => Promise.resolve(pairing.open()))
  take('pairingEnd', BODY_LIMIT, ({ body }) => pairing.end(body.deviceId))
  read('frame', () => frameView(db, clock, buildId))
  read('tonight', ({ query }) => tonightView(db, clock, query.minutes))
  read('standings', () => standingsView(db, clock))
  read('moment', async ({ query }) => {
    const { parCount, units } = await settings()
    return momentView(db, query, parCount, units)
  })
  read('reachSeason', async ({ query }) => reachSeasonView(db, query.reachId, query.on ?? (await today())))
  read('reachDay', ({ query }) => loadHours(db, query, 0, 1440))
  read('seasonSkill', async ({ query }) => {
    const skill = await loadSkill(db, query.reachId, query.foodStageId)
    return { skill: skill && { ...skill, byLead: [...skill.byLead] } }
  })
  read('reachYear', ({ query }) => loadYear(db, query.reachId, query.year))
  read('plan', () => planView(db, clock))
  read('waters', () => watersView(db))
  read('larder', () => larderView(db))
  read('larderStock', async () => larderStockView(db, (await settings()).parCount))
  read('patterns', () => patternsView(db))
  read('pattern', ({ params }) => patternView(db, params.id))
  read('drawings', ({ query }) => drawingsOf(db, query.keys))
  read('families', () => familiesView(db))
  read('catalogue', () => catalogueView(db))
  read('family', ({ params }) => familyView(db, params.id))
  read('bench', () => benchView(db))
  read('boxes', async () => boxesView(db, (await settings()).parCount, await today()))
  read('outings', () => outingsView(db))
  read('along', ({ params }) => alongView(db, clock, params.id))
  read('alongWarmth', async ({ params }) => {
    const along = await alongView(db, clock, params.id)
    return along && warmthAlong(db, along)
  })
  read('drills', () => drillsView(db))
  read('rigs', () => rigsView(db))
  read('history', async () => historyView(db, (await settings()).timeZone))
  read('ledger', async ({ query }) => {
    const { timeZone } = await settings()
    return 'materialId' in query
      ? drawerLedger(db, query.materialId, timeZone)
      : compartmentLedger(db, query.compartmentId, timeZone)
  })
  read('stores', async () => storesView(db, (await settings()).timeZone))
  read('materialUses', ({ params }) => usesView(db, params.id))
  read('measurements', () => measurementsView(db))
  read('moved', () => movedView(db))
  read('actions', () => actionsView(db))
  read('search', ({ query }) => searchView(db, query.q))

  const readInstrument = makeInstruments()
  take('instrument', BODY_LIMIT, ({ body }) => readInstrument(body.kind, body.expected))
  write('command', BODY_LIMIT)
  write('imports', IMPORT_LIMIT)

  serveFiles(router, { database, clock, fillPage, dataId: alive.dataId })
  return router
}
