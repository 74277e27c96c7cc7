import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { cp, mkdir, mkdtemp, readdir, readFile, rename, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { start } from '../../server/start.ts'
import { fillDemo } from '../load.ts'

const KEPT = join('.cache', 'demo')
/** Names the directory where one was filled already, whatever became of the sources since. */
const GIVEN = 'HEAVY_THISTLE_FILLED'
const FILLED_BY = ['core', 'contract', 'server', 'demo']

/** What the demo's data follow from: all sources that fill them. */
async function sourcesHash(): Promise<string> {
  const hash = createHash('sha256')
  for (const folder of FILLED_BY) {
    const names = await readdir(folder, { recursive: true, withFileTypes: true })
    const files = names
      .filter((entry) => entry.isFile() && !/\.test\.ts$/.test(entry.name))
      .map((entry) => join(entry.parentPath, entry.name))
    for (const file of files.sort()) hash.update(file).update(await readFile(file))
  }
  return hash.digest('hex').slice(0, 16)
}

/**
 * A data directory with the demo in it, filled once for the sources as they are and kept in `.cache`: whoever tests
 * works on a copy.
 */
export async function filledDemo(): Promise<string> {
  const given = process.env[GIVEN]
  if (given) return given
  const kept = join(KEPT, await sourcesHash())
  if (existsSync(kept)) return kept
  await rm(KEPT, { recursive: true, force: true })
  const apart = await mkdtemp(join(tmpdir(), 'thistle-filling-'))
  const running = await start({
    dataPath: apart,
    port: 0,
    rootPath: process.cwd(),
    webFolder: null,
    fill: fillDemo,
    logLevel: 'silent',
  })
  await running.stop()
  // whole or not there: what is ended in the middle leaves nothing
  await mkdir(KEPT, { recursive: true })
  const beside = `${kept}.${process.pid}`
  await cp(apart, beside, { recursive: true })
  await rename(beside, kept).catch(async (error: unknown) => {
    // another who tests beside this one was sooner
    if (!existsSync(kept)) throw error
    await rm(beside, { recursive: true })
  })
  await rm(apart, { recursive: true, force: true })
  return kept
}

/** A copy of it for one who tests, and taking that away. */
export async function copyOfDemo(
  from: string,
): Promise<{ readonly path: string; readonly remove: () => Promise<void> }> {
  const path = await mkdtemp(join(tmpdir(), 'thistle-demo-'))
  await cp(from, path, { recursive: true })
  return { path, remove: () => rm(path, { recursive: true, force: true }) }
}
