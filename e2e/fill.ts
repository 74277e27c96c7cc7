import { filledDemo } from '../demo/testing/filledDemo.ts'

/** Where the demo's data lies that every server of the tests starts from a copy of. */
export const FILLED = 'THISTLE_FILLED'

/** Sees to the demo's data before any test. */
export default async function fill(): Promise<void> {
  process.env[FILLED] = await filledDemo()
}
