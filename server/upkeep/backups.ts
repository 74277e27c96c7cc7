import { createClient } from '@libsql/client'
import { chmod, copyFile, mkdir, readdir, rename, rm, stat } from 'node:fs/promises'
import { basename, join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { backupName } from '../../contract/index.ts'
import type { Backup } from '../../contract/index.ts'

const DAY_MS = 86_400_000
/** Days of which a copy is kept each, and weeks before them. */
const DAYS_KEPT = 7
const WEEKS_KEPT = 8
/** Copies from before an upgrade, and ones that were asked for, that are kept. */
const OTHERS_KEPT = 8

/** The folder of copies within a data directory. */
export const backupFolder = (dataPath: string): string => join(dataPath, 'backups')

const stampOf = (atMs: number) => new Date(atMs).toISOString().slice(0, 19).replaceAll(':', '-')

/** Reads a copy's name: when it was made and why; null for any other file. */
function readName(name: string): Pick<Backup, 'name' | 'atMs' | 'reason'> | null {
  if (!backupName.safeParse(name).success) return null
  const [, day, time, reason] =
    /^heavy-thistle-(.{10})T(.{8}).*-(daily|upgrade|restore|asked)\.db$/.exec(name) ?? []
  const atMs = Date.parse(`${day}T${time?.replaceAll('-', ':')}Z`)
  return Number.isNaN(atMs) ? null : { name, atMs, reason: reason as Backup['reason'] }
}

/** Copies in a folder, newest first. */
export async function listBackups(folder: string): Promise<readonly Backup[]> {
  const names = await readdir(folder).catch(() => [])
  const found = await Promise.all(
    names.map(async (name) => {
      const read = readName(name)
      const there = read && (await stat(join(folder, name)).catch(() => null))
      return read && there ? [{ ...read, sizeBytes: there.size }] : []
    }),
  )
  return found.flat().sort((a, b) => b.atMs - a.atMs || (a.name < b.name ? 1 : -1))
}

/** A name in a folder that is not taken. */
export async function freeBackupPath(folder: string, reason: Backup['reason'], atMs: number): Promise<string> {
  for (let n = 1; ; n += 1) {
    const path = join(folder, `heavy-thistle-${stampOf(atMs)}${n === 1 ? '' : `-${n}`}-${reason}.db`)
    if (!(await stat(path).catch(() => null))) return path
  }
}

/**
 * Copies a database as one file, also while it is written to: whole, or not there at all.
 * By SQLite, never by reading the file: closing a file of this process's own would drop the locks on it.
 */
export async function copyDatabase(file: string, target: string): Promise<void> {
  const part = `${target}.part`
  await rm(part, { force: true })
  const client = createClient({ url: pathToFileURL(file).href })
  try {
    await client.execute({ sql: 'VACUUM INTO ?', args: [part] })
    await chmod(part, 0o600)
    await rename(part, target)
  } catch (error) {
    await rm(part, { force: true })
    throw error
  } finally {
    client.close()
  }
}

/** Weeks since 1970 began, from Monday. */
const weekOf = (atMs: number) => Math.floor((atMs / DAY_MS + 3) / 7)
const dayOf = (atMs: number) => Math.floor(atMs / DAY_MS)

/**
 * Which copies are old enough to go: of daily ones the newest of each of the last seven days stays, and of the eight
 * weeks before the newest each; of the others the last eight. What a restore put aside stays until it is removed by hand.
 */
export function spent(backups: readonly Backup[], nowMs: number): readonly Backup[] {
  const newestFirst = [...backups].sort((a, b) => b.atMs - a.atMs)
  const days = new Set<number>()
  const weeks = new Set<number>()
  const others = new Map<string, number>()
  return newestFirst.filter(({ atMs, reason }) => {
    if (reason === 'restore') return false
    if (reason !== 'daily') {
      const count = (others.get(reason) ?? 0) + 1
      others.set(reason, count)
      return count > OTHERS_KEPT
    }
    const [day, week] = [dayOf(atMs), weekOf(atMs)]
    if (day > dayOf(nowMs) - DAYS_KEPT) {
      const first = !days.has(day)
      days.add(day)
      return !first
    }
    const first = !weeks.has(week) && week >= weekOf(nowMs) - WEEKS_KEPT - 1 && weeks.size < WEEKS_KEPT
    weeks.add(week)
    return !first
  })
}

async function tidy(folder: string, nowMs: number): Promise<void> {
  for (const { name } of spent(await listBackups(folder), nowMs)) await rm(join(folder, name), { force: true })
}

/**
 * Copies the database into its folder of copies, and into a second folder where one is named; lets old ones go.
 *
 * @returns the path of the copy
 * @throws where a folder cannot be written to; the first copy is then there all the same
 */
export async function keepBackup(
  file: string,
  folder: string,
  reason: Backup['reason'],
  { secondFolder = null, nowMs = Date.now() }: { secondFolder?: string | null; nowMs?: number } = {},
): Promise<string> {
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const path = await freeBackupPath(folder, reason, nowMs)
  await copyDatabase(file, path)
  await tidy(folder, nowMs)
  if (secondFolder) {
    const second = join(secondFolder, basename(path))
    await copyFile(path, `${second}.part`)
    await rename(`${second}.part`, second)
    await tidy(secondFolder, nowMs)
  }
  return path
}

/** Whether no copy was made yet on the day (of UTC) that it is. */
export const dailyIsDue = (backups: readonly Backup[], nowMs: number): boolean =>
  !backups.some(({ atMs, reason }) => reason === 'daily' && dayOf(atMs) === dayOf(nowMs))
