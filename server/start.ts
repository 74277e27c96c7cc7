import { readFile } from 'node:fs/promises'
import type { RequestListener } from 'node:http'
import { basename, join } from 'node:path'
import { pino } from 'pino'
import { FALLBACK_ZONE, isTimeZone } from '../contract/index.ts'
import { createApps } from './app.ts'
import type { Apps } from './app.ts'
import { makeClock } from './clock/clock.ts'
import type { Clock } from './clock/clock.ts'
import { localTime } from './clock/localTime.ts'
import { readAddress } from './db/address.ts'
import { openDataDirectory } from './db/dataDirectory.ts'
import type { DataDirectory } from './db/dataDirectory.ts'
import type { Database } from './db/database.ts'
import { whileAway } from './http/whileAway.ts'
import { endListening, listen } from './listening.ts'
import type { Listening, Tls } from './listening.ts'
import { makePairing } from './pairing/pairing.ts'
import { loadSettings } from './read/settings.ts'
import { backupsElsewhere, makeBackupService } from './upkeep/backupService.ts'
import type { BackupNews, BackupService } from './upkeep/backupService.ts'
import { keepTelling } from './upkeep/toldKeeper.ts'
import { migrationsIn, openStore } from './upkeep/openStore.ts'
import { putBack } from './upkeep/restore.ts'
import { makeValley } from './upkeep/valley.ts'

/** Where to serve from, and on which port. */
export interface StartOptions {
  readonly dataPath: string
  readonly port: number
  readonly rootPath: string
  readonly webFolder: string | null
  /** fills a new data directory beyond what ships */
  readonly fill?: (database: Database) => Promise<void>
  readonly logLevel?: string
  /** where phones of the home network are served; they are not where this is not given */
  readonly phones?: { readonly host: string; readonly port: number; readonly tls?: Tls }
}

/** A server that runs. */
export interface Running {
  readonly address: string
  /** where phones are served; null where they are not */
  readonly phonesAt: string | null
  /** the database that is open now: another one after a copy was put back */
  readonly database: Database
  /** what whoever started it should know */
  readonly notes: readonly string[]
  readonly stop: () => Promise<void>
}

const readBuildId = (rootPath: string) =>
  readFile(join(rootPath, 'dist', 'build-id.txt'), 'utf8').then(
    (text) => text.trim(),
    () => 'development',
  )

/** A database with the application over it. */
interface Store {
  readonly database: Database
  readonly apps: Apps
  readonly backups: BackupService
  readonly clock: Clock
}

/** After a start the copy of the day waits until the first pages are there; then it is looked for each hour. */
const FIRST_COPY_MS = 5_000
const NEXT_COPY_MS = 3_600_000

/** Makes the copy of each day while the server runs; answers how to end that. */
function keepDailyCopies(backups: () => BackupService): () => void {
  const keep = () => void backups().keepDaily()
  const first = setTimeout(keep, FIRST_COPY_MS)
  const next = setInterval(keep, NEXT_COPY_MS)
  first.unref()
  next.unref()
  return () => {
    clearTimeout(first)
    clearInterval(next)
  }
}

/** Opens a data directory, brings it up to date and serves it on loopback. */
export async function start(options: StartOptions): Promise<Running> {
  const { dataPath, remote } = readAddress(options.dataPath, process.env)
  const directory = await openDataDirectory(dataPath, remote)
  try {
    return await serveDirectory(directory, options)
  } catch (error) {
    await directory.release()
    throw error
  }
}

/** Listens on loopback, and where it is asked for to the home network: to both, or to neither. */
async function listenTo(
  answers: (kind: keyof Apps) => RequestListener,
  { port, phones }: StartOptions,
): Promise<readonly [Listening, ...Listening[]]> {
  const own = await listen(answers('own'), { host: '127.0.0.1', port, portFlag: '--port' })
  if (!phones) return [own]
  try {
    return [own, await listen(answers('phones'), { ...phones, portFlag: '--listen-port' })]
  } catch (error) {
    await endListening(own)
    throw error
  }
}

async function serveDirectory(directory: DataDirectory, options: StartOptions): Promise<Running> {
  const { rootPath, webFolder, fill } = options
  const { path: dataPath, databaseFile, instance } = directory
  const migrationsFolder = migrationsIn(rootPath)
  const log = pino({ level: options.logLevel ?? process.env.HEAVY_THISTLE_LOG ?? 'warn' })
  const buildId = await readBuildId(rootPath)
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone as string | undefined
  const timeZone = zone && isTimeZone(zone) ? zone : FALLBACK_ZONE
  const valley = fill ? null : makeValley(rootPath, dataPath)
  const pairing = await makePairing(dataPath)
  const news: BackupNews = { trouble: null, restored: null }

  async function open(): Promise<Store> {
    const database = await openStore(directory, { rootPath, timeZone, fill })
    const settings = await loadSettings(database.db)
    const clock = makeClock(settings.clockStandsAtMs, process.env.HEAVY_THISTLE_NOW)
    const backups = directory.remote ? backupsElsewhere : makeBackupService({
      database, dataPath, databaseFile, migrationsFolder, news,
      swapFor: (file) => void setImmediate(() => (swapping = swap(file))),
    }) // prettier-ignore
    const apps = createApps({
      database, clock, buildId, log, webFolder, backups, valley, alive: { instance, dataId: settings.dataId },
      pairing,
    }) // prettier-ignore
    return { database, apps, backups, clock }
  }

  let store = await open()
  /** What answers, of either kind; while a copy is put back, neither does. */
  const answers =
    (kind: keyof Apps): RequestListener =>
    (request, response) =>
      (isAway ? whileAway : store.apps[kind])(request, response)
  let isAway = false
  let swapping: Promise<void> = Promise.resolve()

  /** Puts a copy in the place of the open database; where that fails, or it cannot be opened, what was there comes back. */
  async function swap(file: string): Promise<void> {
    isAway = true
    await store.database.close()
    let aside: string | null = null
    try {
      aside = await putBack(file, dataPath, migrationsFolder)
      store = await open()
      news.trouble = null
      news.restored = `Put back from ${basename(file)}. What was there before is ${aside && basename(aside)}.`
    } catch (error) {
      log.error({ error }, 'a copy could not be put back')
      news.restored = null
      news.trouble = `The copy could not be put back: ${error instanceof Error ? error.message : String(error)}`
      if (aside) await putBack(aside, dataPath, migrationsFolder)
      store = await open()
    }
    isAway = false
  }

  const listening = await listenTo(answers, options).catch(async (error: unknown) => {
    await store.database.close()
    throw error
  })
  const [{ address }, phones] = listening
  pairing.servedAt = phones?.address ?? null
  await directory.announce(address)
  const endCopies = keepDailyCopies(() => store.backups)
  const endTelling = keepTelling(
    () => store.database,
    async () => localTime(store.clock.nowMs(), (await loadSettings(store.database.db)).body.timeZone).on,
    buildId,
    (error) => log.error({ error }, 'what this version says could not be kept'),
  )
  return {
    address,
    phonesAt: pairing.servedAt,
    get database() {
      return store.database
    },
    notes:
      timeZone === zone
        ? []
        : [
            `This machine's time zone (${zone || 'none'}) is not known. UTC is taken; choose yours in Settings.`,
          ],
    stop: async () => {
      valley?.close()
      endCopies()
      endTelling()
      for (const one of listening) await endListening(one)
      await swapping
      await store.database.close()
      await directory.release()
    },
  }
}
