import { copyFile, link, mkdir, rename, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { pathToFileURL } from 'node:url'
import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import { patiently } from '../db/busy.ts'
import { isBusy } from '../db/errors.ts'
import { DATABASE } from '../db/dataDirectory.ts'
import { standingOf } from '../db/standing.ts'
import { backupFolder, freeBackupPath } from './backups.ts'

/** A copy that cannot be put back, with words for whoever asked. */
export class RestoreError extends Error {}

const isThere = (path: string) =>
  stat(path).then(
    () => true,
    () => false,
  )
const isFolder = (path: string) =>
  stat(path).then(
    (found) => found.isDirectory(),
    () => false,
  )

/**
 * Lets go of connections that were closed and whose statements the driver has not thrown away yet: one that ends after
 * the swap would take the new database's log for its own and remove it.
 */
async function letGoOfStatements(): Promise<void> {
  setFlagsFromString('--expose-gc')
  const collect = runInNewContext('gc') as () => void
  for (let round = 0; round < 2; round += 1) {
    collect()
    await new Promise((resolve) => setTimeout(resolve, 60))
  }
}

/** Writes a database's log back into it, so that it is one file; goes through only when nobody else has it open. */
async function gather(file: string): Promise<void> {
  await letGoOfStatements()
  await patiently(async () => {
    const client = createClient({ url: pathToFileURL(file).href })
    try {
      await client.execute('pragma wal_checkpoint(truncate)')
      await client.execute('pragma journal_mode = delete')
    } finally {
      client.close()
    }
  }, letGoOfStatements)
}

async function copyWithLog(from: string, to: string): Promise<void> {
  await copyFile(from, to)
  if (await isThere(`${from}-wal`)) await copyFile(`${from}-wal`, `${to}-wal`)
}

async function remove(file: string): Promise<void> {
  for (const suffix of ['', '-wal', '-shm']) await rm(file + suffix, { force: true })
}

/** A copy of what is to be put back: whole, with what its log held, checked; the source stays as it is. */
async function prepare(source: string, apart: string, migrationsFolder: string): Promise<void> {
  await remove(apart)
  await copyWithLog(source, apart)
  const standing = await standingOf(apart, migrationsFolder)
  switch (standing.kind) {
    case 'ours':
      return gather(apart)
    case 'newer':
      throw new RestoreError(
        `${source} was written by a later version (step ${standing.steps} of its history; this one knows ${standing.known}).`,
      )
    case 'damaged':
      throw new RestoreError(`${source} is damaged: ${standing.what}.`)
    case 'absent':
    case 'foreign':
      throw new RestoreError(`${source} is no database of Heavy Thistle.`)
  }
}

/**
 * Puts what is in place aside under a dated name, with all that its log holds, and leaves it in place as well until the
 * swap: there is no moment without a database.
 */
async function putAside(file: string, folder: string, nowMs: number): Promise<string | null> {
  if (!(await isThere(file))) return null
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const aside = await freeBackupPath(folder, 'restore', nowMs)
  await gather(file).catch((error: unknown) => {
    if (isBusy(error)) throw new RestoreError(`Another program has ${file} open. Close it and try again.`)
  })
  await link(file, aside).catch(() => copyFile(file, aside))
  // a database too damaged to take its log in keeps it beside it
  if (await isThere(`${file}-wal`)) await copyFile(`${file}-wal`, `${aside}-wal`)
  return aside
}

/**
 * Puts a copy back in the place of a database that nobody has open. The copy is checked first and swapped in by a
 * rename; every earlier database stays under a dated name.
 *
 * @param source a file, with its log beside it if it has one, or a folder of data
 * @returns where what was in place before lies now; null where there was nothing
 * @throws RestoreError, or an error of the disk; the database in place is then as it was
 */
export async function putBack(
  source: string,
  dataPath: string,
  migrationsFolder: string,
  nowMs = Date.now(),
): Promise<string | null> {
  const file = join(dataPath, DATABASE)
  const apart = `${file}.restoring`
  const from = (await isFolder(source)) ? join(source, DATABASE) : source
  if (!(await isThere(from))) throw new RestoreError(`There is no ${from}.`)
  try {
    await prepare(from, apart, migrationsFolder)
    const aside = await putAside(file, backupFolder(dataPath), nowMs)
    for (const suffix of ['-wal', '-shm']) await rm(file + suffix, { force: true })
    await rename(apart, file)
    return aside
  } finally {
    await remove(apart)
  }
}
