import { readFile } from 'node:fs/promises'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { join } from 'node:path'
import { pino } from 'pino'
import { createApp } from './app.ts'
import { makeClock } from './clock/clock.ts'
import { openDataDirectory } from './db/dataDirectory.ts'
import { openDatabase } from './db/database.ts'
import type { Database } from './db/database.ts'
import { setting } from './db/schema.ts'
import { refreshStaleFigures } from './upkeep/figures.ts'
import { dropUnusedPhotos } from './upkeep/photos.ts'
import { seedShipped } from './upkeep/seed.ts'
import { writeUsualAmounts } from './upkeep/writeUsualAmounts.ts'

/** Where to serve from, and on which port. */
export interface StartOptions {
  readonly dataPath: string
  readonly port: number
  readonly rootPath: string
  readonly webFolder: string | null
  /** fills a new data directory beyond what ships */
  readonly fill?: (database: Database) => Promise<void>
  readonly logLevel?: string
}

/** A server that runs. */
export interface Running {
  readonly address: string
  readonly database: Database
  readonly stop: () => Promise<void>
}

/** A port that another program holds, with words for whoever started this one. */
export class PortTakenError extends Error {}

function listen(app: ReturnType<typeof createApp>, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, '127.0.0.1')
    server.once('listening', () => resolve(server))
    server.once('error', (error: NodeJS.ErrnoException) => {
      const message = `Port ${port} is taken by another program. Stop it, or choose another with --port.`
      reject(error.code === 'EADDRINUSE' ? new PortTakenError(message) : error)
    })
  })
}

const readBuildId = (rootPath: string) =>
  readFile(join(rootPath, 'dist', 'build-id.txt'), 'utf8').then(
    (text) => text.trim(),
    () => 'development',
  )

/** Opens a data directory, brings it up to date and serves it on loopback. */
export async function start(options: StartOptions): Promise<Running> {
  const { rootPath, dataPath } = options
  const directory = await openDataDirectory(dataPath)
  try {
    const database = await openDatabase(directory.databaseFile, join(rootPath, 'server', 'migrations'))
    await seedShipped(database, Intl.DateTimeFormat().resolvedOptions().timeZone)
    await writeUsualAmounts(database)
    await options.fill?.(database)
    await refreshStaleFigures(database)
    await dropUnusedPhotos(database)
    const [settings] = await database.db.select().from(setting)
    const clock = makeClock(settings?.clockStandsAtMs ?? null, process.env.HEAVY_THISTLE_NOW)
    const log = pino({ level: options.logLevel ?? process.env.HEAVY_THISTLE_LOG ?? 'warn' })
    const buildId = await readBuildId(rootPath)
    const server = await listen(
      createApp({ database, clock, buildId, log, webFolder: options.webFolder }),
      options.port,
    )
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
    await directory.announce(address)
    const stop = async () => {
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await database.close()
      await directory.release()
    }
    return { address, database, stop }
  } catch (error) {
    await directory.release()
    throw error
  }
}
