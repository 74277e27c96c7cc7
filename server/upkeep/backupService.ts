import { stat } from 'node:fs/promises'
import { join } from 'node:path'
import type { BackupPreview, BackupsView } from '../../contract/index.ts'
import type { Database } from '../db/database.ts'
import { KEPT_ELSEWHERE } from '../db/address.ts'
import { isFull } from '../db/errors.ts'
import { standingOf } from '../db/standing.ts'
import { ProblemError } from '../problems/problem.ts'
import { loadSettings } from '../read/settings.ts'
import { backupFolder, dailyIsDue, keepBackup, listBackups } from './backups.ts'
import { compareWithCopy } from './compare.ts'

/** What the latest copy or restore left to say, whatever database is open by now. */
export interface BackupNews {
  trouble: string | null
  restored: string | null
}

/** What copies hang on. */
export interface BackupContext {
  readonly database: Database
  readonly dataPath: string
  readonly databaseFile: string
  readonly migrationsFolder: string
  readonly news: BackupNews
  /** swaps the open database for a copy, once the answer is on its way */
  readonly swapFor: (file: string) => void
  readonly nowMs?: () => number
}

/** Copies of the database: made by themselves each day, on request, set beside what is there, and put back. */
export interface BackupService {
  readonly view: () => Promise<BackupsView>
  readonly preview: (name: string) => Promise<BackupPreview>
  readonly make: () => Promise<BackupsView>
  readonly restore: (name: string) => Promise<{ restoring: boolean }>
  /** makes the copy of the day where there is none yet and something was ever written */
  readonly keepDaily: () => Promise<void>
}

function reasonOf(error: unknown): string {
  if (isFull(error)) return 'the disk is full. Make room, or name a second folder on another disk.'
  return error instanceof Error ? error.message : String(error)
}

const refuse = () => Promise.reject(new ProblemError('invalidInput', KEPT_ELSEWHERE))

/** Copies of a database that another server keeps: that server makes them. */
export const backupsElsewhere: BackupService = {
  view: () => Promise.resolve({ folder: '', backups: [], trouble: KEPT_ELSEWHERE, restored: null }),
  preview: refuse,
  make: refuse,
  restore: refuse,
  keepDaily: () => Promise.resolve(),
}

/** The copies of one open database. */
export function makeBackupService(context: BackupContext): BackupService {
  const { database, dataPath, databaseFile, migrationsFolder, news, swapFor, nowMs = Date.now } = context
  const folder = backupFolder(dataPath)

  async function keep(reason: 'daily' | 'asked'): Promise<void> {
    const { backupFolder: secondFolder } = (await loadSettings(database.db)).body
    try {
      await keepBackup(databaseFile, folder, reason, { secondFolder, nowMs: nowMs() })
      news.trouble = null
    } catch (error) {
      news.trouble = `The copy could not be made: ${reasonOf(error)}`
    }
  }
  const view = async () => ({ folder, backups: [...(await listBackups(folder))], ...news })
  async function fileOf(name: string): Promise<string> {
    const file = join(folder, name)
    if (await stat(file).catch(() => null)) return file
    throw new ProblemError('unknownId', 'This copy is not there any more.')
  }
  async function wholeFileOf(name: string): Promise<string> {
    const file = await fileOf(name)
    const standing = await standingOf(file, migrationsFolder)
    if (standing.kind === 'ours') return file
    throw new ProblemError(
      'damagedCopy',
      standing.kind === 'newer'
        ? 'This copy was written by a later version.'
        : `This copy is damaged${standing.kind === 'damaged' ? `: ${standing.what}` : ''}.`,
    )
  }
  return {
    view,
    preview: async (name) => compareWithCopy(database.client, await wholeFileOf(name), name),
    make: async () => {
      await keep('asked')
      return view()
    },
    restore: async (name) => {
      swapFor(await wholeFileOf(name))
      return { restoring: true }
    },
    keepDaily: async () => {
      if (database.writeCount() === 0 || !dailyIsDue(await listBackups(folder), nowMs())) return
      await keep('daily')
    },
  }
}
