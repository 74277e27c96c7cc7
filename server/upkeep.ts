import { mkdir, stat } from 'node:fs/promises'
import { basename, dirname, join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { brokenLine, dataRoot, fail, keepPrivate, rootPath } from './cli.ts'
import { KEPT_ELSEWHERE, readAddress } from './db/address.ts'
import { DATABASE, DataDirectoryError, openDataDirectory } from './db/dataDirectory.ts'
import { openDatabase } from './db/database.ts'
import { standingOf } from './db/standing.ts'
import { copyDatabase } from './upkeep/backups.ts'
import { copyBeforeUpgrade, migrationsIn, refusalOf } from './upkeep/openStore.ts'
import { putBack, RestoreError } from './upkeep/restore.ts'
import { checkDatabase } from './upkeep/verify.ts'

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    data: { type: 'string' },
    to: { type: 'string' },
    from: { type: 'string' },
    demo: { type: 'boolean', default: false },
  },
})
const named = resolve(values.data ?? join(dataRoot, values.demo ? 'demo' : 'own'))
const { dataPath, remote } = addressOf(named)
if (remote) fail(KEPT_ELSEWHERE)
const databaseFile = join(dataPath, DATABASE)
const migrations = migrationsIn(rootPath)
const exists = (file: string) =>
  stat(file).then(
    () => true,
    () => false,
  )

/** Where the data are; a wrong address is said in one line. */
function addressOf(path: string) {
  try {
    return readAddress(path, process.env)
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error))
  }
}

/** Copies the database as one file, also while it is in use. */
async function backup(): Promise<void> {
  if (!(await exists(databaseFile))) fail(`There is no database in ${dataPath}.`)
  const stamp = new Date().toISOString().slice(0, 19).replaceAll(':', '-')
  const target = resolve(values.to ?? `heavy-thistle-${stamp}-asked.db`)
  if (await exists(target)) fail(`${target} is there already. Choose another name with --to.`)
  await mkdir(dirname(target), { recursive: true })
  await copyDatabase(databaseFile, target)
  process.stdout.write(`Copied to ${target}\n`)
}

/** Puts a copy back in place, after looking that it is whole; refuses while the directory is in use. */
async function restore(): Promise<void> {
  const source = values.from ? resolve(values.from) : fail('Say which copy: npm run restore -- --from FILE')
  const directory = await openDataDirectory(dataPath)
  try {
    const aside = await putBack(source, dataPath, migrations)
    await directory.markFilled()
    const standing = await standingOf(databaseFile, migrations)
    if (standing.kind !== 'ours') fail(`What was put into ${dataPath} cannot be read back.`)
    process.stdout.write(
      `Restored into ${dataPath}${aside ? `; what was there before is backups/${basename(aside)}` : ''}.\n`,
    )
  } finally {
    await directory.release()
  }
}

/** Compares the derived stores with what they are derived from, and mends them. */
async function verify(): Promise<void> {
  const directory = await openDataDirectory(dataPath)
  try {
    const standing = await standingOf(databaseFile, migrations)
    if (standing.kind === 'absent') fail(`There is no database in ${dataPath}.`)
    const refusal = await refusalOf(standing, directory)
    if (refusal) fail(refusal)
    await copyBeforeUpgrade(standing, directory)
    const database = await openDatabase(databaseFile, migrations)
    const report = await checkDatabase(database)
    await database.close()
    process.stdout.write(report.map((line) => `${line}\n`).join(''))
    if (report.some((line) => line.startsWith('mended') || line.startsWith('fault'))) process.exitCode = 1
  } finally {
    await directory.release()
  }
}

const tasks: Readonly<Record<string, () => Promise<void>>> = { backup, restore, verify }
const task = tasks[positionals[0] ?? '']
if (!task) fail('Say what: backup, restore or verify.')
keepPrivate()
try {
  await task()
} catch (error) {
  fail(error instanceof DataDirectoryError || error instanceof RestoreError ? error.message : brokenLine(error))
}
