import { createClient } from '@libsql/client'
import { copyFile, mkdir, rm, stat } from 'node:fs/promises'
import { dirname, join, resolve } from 'node:path'
import { pathToFileURL } from 'node:url'
import { parseArgs } from 'node:util'
import { dataRoot, fail, rootPath } from './cli.ts'
import { DataDirectoryError, openDataDirectory } from './db/dataDirectory.ts'
import { openDatabase } from './db/database.ts'
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
const dataPath = resolve(values.data ?? join(dataRoot, values.demo ? 'demo' : 'own'))
const databaseFile = join(dataPath, 'heavy-thistle.db')
const exists = (file: string) =>
  stat(file).then(
    () => true,
    () => false,
  )

/** Copies the database as one file, also while it is in use. */
async function backup(): Promise<void> {
  if (!(await exists(databaseFile))) fail(`There is no database in ${dataPath}.`)
  const stamp = new Date().toISOString().slice(0, 19).replaceAll(':', '-')
  const target = resolve(values.to ?? `heavy-thistle-${stamp}.db`)
  if (await exists(target)) fail(`${target} is there already. Choose another name with --to.`)
  await mkdir(dirname(target), { recursive: true })
  const client = createClient({ url: pathToFileURL(databaseFile).href })
  await client.execute({ sql: 'VACUUM INTO ?', args: [target] })
  client.close()
  process.stdout.write(`Copied to ${target}\n`)
}

/** Puts a copy back in place, after looking that it is whole; refuses while the directory is in use. */
async function restore(): Promise<void> {
  const source = values.from ? resolve(values.from) : fail('Say which copy: npm run restore -- --from FILE')
  if (!(await exists(source))) fail(`There is no ${source}.`)
  const client = createClient({ url: pathToFileURL(source).href })
  const [row] = (await client.execute('PRAGMA integrity_check')).rows
  const tables = await client.execute(
    "SELECT count(*) AS n FROM sqlite_master WHERE name IN ('fly_entry', 'variant', 'action')",
  )
  client.close()
  if (row?.integrity_check !== 'ok' || tables.rows[0]?.n !== 3)
    fail(`${source} is no whole Heavy Thistle database.`)
  const directory = await openDataDirectory(dataPath)
  if (await exists(databaseFile)) await copyFile(databaseFile, `${databaseFile}.before-restore`)
  for (const suffix of ['-wal', '-shm']) await rm(databaseFile + suffix, { force: true })
  await copyFile(source, databaseFile)
  await directory.release()
  process.stdout.write(`Restored into ${dataPath}; what was there before lies beside it.\n`)
}

/** Compares the derived stores with what they are derived from, and mends them. */
async function verify(): Promise<void> {
  const directory = await openDataDirectory(dataPath)
  const database = await openDatabase(databaseFile, join(rootPath, 'server', 'migrations'))
  const report = await checkDatabase(database)
  await database.close()
  await directory.release()
  process.stdout.write(report.map((line) => `${line}\n`).join(''))
  if (report.some((line) => line.startsWith('mended') || line.startsWith('fault'))) process.exitCode = 1
}

const tasks: Readonly<Record<string, () => Promise<void>>> = { backup, restore, verify }
const task = tasks[positionals[0] ?? '']
if (!task) fail('Say what: backup, restore or verify.')
try {
  await task()
} catch (error) {
  if (error instanceof DataDirectoryError) fail(error.message)
  throw error
}
