import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { filledDemo } from '../demo/testing/filledDemo.ts'

/** Where the demo's data lies that every server of the tests starts from a copy of. */
export const FILLED = 'THISTLE_FILLED'

/** Sees to the demo's data before any test; what it returns takes away what the tests shared. */
export default async function fill(): Promise<() => Promise<void>> {
  process.env[FILLED] = await filledDemo()
  // servers after the first find their modules compiled
  const compiled = await mkdtemp(join(tmpdir(), 'thistle-compiled-'))
  process.env.NODE_COMPILE_CACHE = compiled
  return () => rm(compiled, { recursive: true, force: true })
}
