import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startProcess } from './serving.ts'

/** Where the demo's data lies that every server of the tests starts from a copy of. */
export const FILLED = 'THISTLE_FILLED'

/** Fills a data directory with the demo once, before any test; what it returns takes it away after the last. */
export default async function fill(): Promise<() => Promise<void>> {
  const folder = await mkdtemp(join(tmpdir(), 'thistle-filled-'))
  const serving = await startProcess('demo', folder)
  await serving.stop()
  process.env[FILLED] = folder
  // servers after the first find their modules compiled
  process.env.NODE_COMPILE_CACHE = join(folder, 'compiled')
  return () => rm(folder, { recursive: true, force: true })
}
