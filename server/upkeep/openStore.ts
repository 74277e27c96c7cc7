import { chmod, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { DataDirectoryError } from '../db/dataDirectory.ts'
import type { DataDirectory } from '../db/dataDirectory.ts'
import type { RemoteDatabase } from '../db/address.ts'
import { openDatabase, openRemoteDatabase } from '../db/database.ts'
import type { Database } from '../db/database.ts'
import { standingElsewhere, standingOf } from '../db/standing.ts'
import type { Standing } from '../db/standing.ts'
import { backupFolder, keepBackup, listBackups } from './backups.ts'
import { refreshStaleFigures } from './figures.ts'
import { dropUnusedPhotos } from './photos.ts'
import { seedShipped } from './seed.ts'
import { writeUsualAmounts } from './writeUsualAmounts.ts'

/** What a store is opened with. */
export interface StoreOptions {
  readonly rootPath: string
  readonly timeZone: string
  /** fills a new data directory beyond what ships */
  readonly fill?: ((database: Database) => Promise<void>) | undefined
}

/** Where the schema's history lies. */
export const migrationsIn = (rootPath: string): string => join(rootPath, 'server', 'migrations')

async function latestCopy(path: string): Promise<string> {
  const [latest] = await listBackups(backupFolder(path))
  return latest
    ? `The latest copy: npm run restore -- --data "${path}" --from "${join(backupFolder(path), latest.name)}"`
    : `No copy of it lies in ${backupFolder(path)}; one of yours goes back with: npm run restore -- --data "${path}" --from FILE`
}

/** Why a database is not opened, in one line that says what to do; null where it can be. */
export async function refusalOf(
  standing: Standing,
  { path, wasFilled }: DataDirectory,
): Promise<string | null> {
  switch (standing.kind) {
    case 'ours':
      return null
    case 'absent':
      return wasFilled
        ? `The database of ${path} is gone. ${await latestCopy(path)}. To begin with an empty one, name another folder with --data.`
        : null
    case 'newer':
      return `The database of ${path} was written by a later version (step ${standing.steps} of its history; this one knows ${standing.known}). Start that version.`
    case 'foreign':
      return `The database in ${path} is none of Heavy Thistle. Name another folder with --data.`
    case 'damaged':
      return `The database of ${path} is damaged: ${standing.what}. ${await latestCopy(path)}`
  }
}

/** Beside a database and belonging to it while it is in use. */
const COMPANIONS = ['', '-wal', '-shm']

/** Removes a database that is only half there. */
async function clear(file: string): Promise<void> {
  for (const suffix of COMPANIONS) await rm(file + suffix, { force: true })
}

async function bringUp(database: Database, { timeZone, fill }: StoreOptions): Promise<void> {
  await seedShipped(database, timeZone)
  await writeUsualAmounts(database)
  await fill?.(database)
  await refreshStaleFigures(database)
  await dropUnusedPhotos(database)
}

/** Makes a new database apart and puts it in place when it is complete: what is ended in the middle leaves nothing. */
async function makeNew(file: string, options: StoreOptions): Promise<void> {
  const apart = `${file}.filling`
  await clear(apart)
  const database = await openDatabase(apart, migrationsIn(options.rootPath))
  try {
    await bringUp(database, options)
  } finally {
    await database.close()
  }
  await rename(apart, file)
  await clear(apart)
}

/** Copies a database that is behind this program's, before it is brought up to date. */
export async function copyBeforeUpgrade(
  standing: Standing,
  { path, databaseFile }: DataDirectory,
): Promise<void> {
  if (standing.kind === 'ours' && standing.steps < standing.known)
    await keepBackup(databaseFile, backupFolder(path), 'upgrade')
}

/** Opens a database that another server keeps, and brings it up to date. */
async function openElsewhere(remote: RemoteDatabase, options: StoreOptions): Promise<Database> {
  const migrations = migrationsIn(options.rootPath)
  const standing = await standingElsewhere(remote, migrations)
  const refusal = refusalElsewhere(standing, remote.url)
  if (refusal) throw new DataDirectoryError(refusal)
  const database = await openRemoteDatabase(remote, migrations)
  try {
    await bringUp(database, options)
    return database
  } catch (error) {
    await database.close()
    throw error
  }
}

/** Why a database elsewhere is not opened; null where it can be. */
function refusalElsewhere(standing: Standing, url: string): string | null {
  switch (standing.kind) {
    case 'ours':
    case 'absent':
      return null
    case 'newer':
      return `The database at ${url} was written by a later version (step ${standing.steps} of its history; this one knows ${standing.known}). Start that version.`
    case 'foreign':
      return `The database at ${url} is none of Heavy Thistle.`
    case 'damaged':
      return `The database at ${url} cannot be used: ${standing.what}.`
  }
}

/**
 * Opens the database of a data directory: looks that it is whole and ours, copies it before an upgrade, brings it up to
 * date. A new one is made apart first.
 *
 * @throws DataDirectoryError with one line that says what is wrong and what to do
 */
export async function openStore(directory: DataDirectory, options: StoreOptions): Promise<Database> {
  const { databaseFile, remote } = directory
  if (remote) return openElsewhere(remote, options)
  const migrations = migrationsIn(options.rootPath)
  const standing = await standingOf(databaseFile, migrations)
  const refusal = await refusalOf(standing, directory)
  if (refusal) throw new DataDirectoryError(refusal)
  if (standing.kind === 'absent') await makeNew(databaseFile, options)
  else await copyBeforeUpgrade(standing, directory)
  const database = await openDatabase(databaseFile, migrations)
  try {
    for (const suffix of COMPANIONS) await chmod(databaseFile + suffix, 0o600).catch(() => undefined)
    if (standing.kind !== 'absent') await bringUp(database, options)
    await directory.markFilled()
    return database
  } catch (error) {
    await database.close()
    throw error
  }
}
