import { join } from 'node:path'
import { copyOfDemo, filledDemo } from '../demo/testing/filledDemo.ts'
import { compareKept } from '../demo/testing/keptAnswers.ts'
import type { Line } from './timing.ts'

const SEEDS = [1, 2, 3, 4]
const COMMANDS = 20

/** Whether answers that are kept are those that a server gives which has kept none, after commands of all kinds. */
export async function benchFresh(): Promise<readonly Line[]> {
  const from = await filledDemo()
  const kinds = new Set<string>()
  const differing: string[] = []
  for (const seed of SEEDS) {
    const copy = await copyOfDemo(from)
    const found = await compareKept(join(copy.path, 'heavy-thistle.db'), COMMANDS, seed)
    differing.push(...found.differing)
    for (const kind of found.kinds) kinds.add(kind)
    await copy.remove()
    process.stderr.write(`${seed}: ${found.differing.join(', ') || 'done'}\n`)
  }
  return [
    {
      what: `after each of ${SEEDS.length * COMMANDS} commands of ${kinds.size} kinds, all views: kept answers that a server would not give that has kept none`,
      figure: String(differing.length),
      wanted: '0',
    },
  ]
}
