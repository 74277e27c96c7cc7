import { join } from 'node:path'
import compression from 'compression'
import express from 'express'
import type { Express } from 'express'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import type { RouteAnswer } from '../contract/index.ts'
import type { Clock } from './clock/clock.ts'
import { makeCommandService } from './commands/commandService.ts'
import type { Database } from './db/database.ts'
import { apiRouter } from './http/api.ts'
import { errorHandler, notFound } from './http/errors.ts'
import { openApiDocument } from './http/openapi.ts'
import { docsRouter, fillPageFrom, pagesRouter } from './http/pages.ts'
import { makeFigureKeeper } from './upkeep/figureKeeper.ts'
import type { BackupService } from './upkeep/backupService.ts'
import type { Valley } from './upkeep/valley.ts'
import type { Pairing } from './pairing/pairing.ts'
import { phonesApp } from './http/phones.ts'
import { isLoopback, sameOrigin, securityHeaders } from './http/security.ts'

/** What the application stands on. */
export interface AppOptions {
  readonly database: Database
  readonly clock: Clock
  readonly buildId: string
  readonly log: Logger
  /** the built pages; null serves the API alone */
  readonly webFolder: string | null
  readonly backups: BackupService
  /** opens the made-up valley beside these data; null where it cannot be */
  readonly valley: Valley | null
  /** what tells this process, and its data, from any other at the same address */
  readonly alive: RouteAnswer<'alive'>
  /** which phones of the home network may come in */
  readonly pairing: Pairing
}

/** What answers on loopback, and what answers phones of the home network. */
export interface Apps {
  readonly own: Express
  readonly phones: Express
}

/** The whole server as two Express applications over one database. */
export function createApps(options: AppOptions): Apps {
  const { database, clock, buildId, log, webFolder, backups, valley, alive, pairing } = options
  const figures = makeFigureKeeper(database, (error) => log.error({ error }, 'figures could not be worked out'))
  // what was under way when the server ended last
  void figures.catchUp()
  const commands = makeCommandService(database, clock, figures)
  const fillPage = webFolder ? fillPageFrom(join(webFolder, '..', 'along')) : null
  const app = express()
  app.disable('x-powered-by')
  app.set('query parser', 'simple')
  app.use(
    pinoHttp({
      logger: log,
      serializers: {
        req: ({ method, url }: { method: string; url: string }) => ({ method, path: url.split('?')[0] }),
      },
      customLogLevel: (_request, response, error) => (error || response.statusCode >= 500 ? 'error' : 'debug'),
    }),
  )
  app.use(...securityHeaders(), sameOrigin(isLoopback))
  app.use(docsRouter(() => openApiDocument(buildId)))
  app.use(
    apiRouter({
      database,
      clock,
      commands,
      buildId,
      backups,
      valley,
      fillPage,
      alive,
      pairing,
    }),
  )
  app.use('/api', notFound)
  // answers are not packed: over loopback that takes longer than to send them as they are
  if (webFolder) app.use(compression(), pagesRouter(webFolder))
  app.use(errorHandler(log))
  const phones = phonesApp({ database, clock, commands, pairing, fillPage, dataId: alive.dataId, log })
  return { own: app, phones }
}
