import { mkdir, mkdtemp, readdir, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Backup } from '../../contract/index.ts'
import { openDatabase } from '../db/database.ts'
import { dailyIsDue, freeBackupPath, keepBackup, listBackups, spent } from './backups.ts'

const DAY_MS = 86_400_000
const NOON = Date.parse('2026-06-04T12:00:00Z')
const at = (daysAgo: number, reason: Backup['reason'] = 'daily', hour = 0): Backup => {
  const atMs = NOON - daysAgo * DAY_MS + hour * 3_600_000
  return { name: `${reason} ${daysAgo} ${hour}`, atMs, reason, sizeBytes: 1 }
}

describe('which copies go', () => {
  it('after 200 days, one a day and tidied each day: seven days and eight weeks stay', () => {
    let kept: readonly Backup[] = []
    for (let day = 200; day >= 0; day -= 1) {
      const now = NOON - day * DAY_MS
      const all = [at(day), ...kept]
      const gone = new Set(spent(all, now))
      kept = all.filter((backup) => !gone.has(backup))
    }
    const ages = kept.map(({ atMs }) => (NOON - atMs) / DAY_MS)
    expect(ages.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6])
    const weekly = ages.slice(7)
    expect(weekly).toHaveLength(8)
    // each is the last of its week, the oldest about two months back
    const gaps = weekly.slice(1).map((age, i) => age - weekly[i]!)
    expect(gaps.slice(1)).toEqual([7, 7, 7, 7, 7, 7])
    expect(gaps[0]).toBeLessThanOrEqual(7)
    expect(weekly.at(-1)).toBeGreaterThanOrEqual(49)
  })

  it('of one day the newest stays', () => {
    expect(
      spent([at(1, 'daily', 1), at(1, 'daily', 5), at(1, 'daily', 3)], NOON).map(({ name }) => name),
    ).toEqual(['daily 1 3', 'daily 1 1'])
  })

  it('what a restore put aside never goes; of the others the last eight of each kind stay', () => {
    const restores = Array.from({ length: 20 }, (_, i) => at(i * 30, 'restore'))
    const upgrades = Array.from({ length: 10 }, (_, i) => at(i * 30, 'upgrade'))
    const asked = Array.from({ length: 9 }, (_, i) => at(i, 'asked'))
    expect(spent([...restores, ...upgrades, ...asked], NOON).map(({ name }) => name)).toEqual([
      'asked 8 0',
      'upgrade 240 0',
      'upgrade 270 0',
    ])
  })
})

describe('the copy of the day', () => {
  it('is due until there is a daily one of today', () => {
    expect(dailyIsDue([], NOON)).toBe(true)
    expect(dailyIsDue([at(1), at(0, 'asked')], NOON)).toBe(true)
    expect(dailyIsDue([at(1), at(0)], NOON)).toBe(false)
  })
})

describe('copies on disk', () => {
  let folder: string
  let file: string
  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), 'thistle-backups-'))
    file = join(folder, 'it.db')
    await (await openDatabase(file, join(process.cwd(), 'server', 'migrations'))).close()
  })
  afterEach(() => rm(folder, { recursive: true }))

  it('are listed newest first, and nothing else in the folder is', async () => {
    const backups = join(folder, 'backups')
    await keepBackup(file, backups, 'daily', { nowMs: NOON - DAY_MS })
    await keepBackup(file, backups, 'asked', { nowMs: NOON })
    await keepBackup(file, backups, 'asked', { nowMs: NOON })
    await writeFile(join(backups, 'heavy-thistle-2026-06-04T12-00-00-asked.db.part'), 'half')
    await writeFile(join(backups, 'notes.txt'), '')
    expect((await listBackups(backups)).map(({ name, atMs }) => [name, atMs])).toEqual([
      ['heavy-thistle-2026-06-04T12-00-00-asked.db', NOON],
      ['heavy-thistle-2026-06-04T12-00-00-2-asked.db', NOON],
      ['heavy-thistle-2026-06-03T12-00-00-daily.db', NOON - DAY_MS],
    ])
    expect(await listBackups(join(folder, 'nowhere'))).toEqual([])
  })

  it('go to a second folder too, and are kept in the first where that is not there', async () => {
    const [backups, second] = [join(folder, 'backups'), join(folder, 'second')]
    await mkdir(second)
    await keepBackup(file, backups, 'daily', { secondFolder: second, nowMs: NOON })
    expect(await readdir(second)).toEqual(await readdir(backups))
    const gone = keepBackup(file, backups, 'asked', { secondFolder: join(folder, 'gone'), nowMs: NOON })
    await expect(gone).rejects.toThrow('ENOENT')
    expect(await readdir(backups)).toHaveLength(2)
  })

  it('leave nothing half done where they fail', async () => {
    const backups = join(folder, 'backups')
    await writeFile(file, 'no database at all, and longer than a header of one hundred bytes'.repeat(9))
    await expect(keepBackup(file, backups, 'daily')).rejects.toThrow('SQLITE_NOTADB')
    expect(await readdir(backups)).toEqual([])
    expect(await freeBackupPath(backups, 'daily', NOON)).toBe(
      join(backups, 'heavy-thistle-2026-06-04T12-00-00-daily.db'),
    )
  })
})
