import { join } from 'node:path'
import { copyOfDemo, filledDemo } from '../demo/testing/filledDemo.ts'
import { takeBackInAnyOrder, takeBackInReverse } from '../demo/testing/takingBack.ts'
import { openTestServer } from '../server/testing/testServer.ts'
import type { Line } from './timing.ts'

const SEEDS = 20
const COMMANDS = 60

/** Sixty commands of all kinds, twenty times: undone in reverse, done again, undone, and undone in any order. */
export async function benchUndo(): Promise<readonly Line[]> {
  const from = await filledDemo()
  const kinds: number[] = []
  const faults: string[] = []
  const seeds = Array.from({ length: SEEDS }, (_, i) => (i + 1) * 100)
  for (const seed of seeds)
    for (const takeBack of [takeBackInReverse, takeBackInAnyOrder]) {
      const copy = await copyOfDemo(from)
      const server = await openTestServer(join(copy.path, 'heavy-thistle.db'))
      try {
        kinds.push((await takeBack(server, seed, COMMANDS)).kinds)
      } catch (error) {
        faults.push(
          `${takeBack.name} ${seed}: ${error instanceof Error ? error.message.slice(0, 1500) : String(error)}`,
        )
      }
      await server.close()
      await copy.remove()
      process.stderr.write(`${takeBack.name} ${seed}: done\n`)
    }
  for (const fault of faults) process.stderr.write(`${fault}\n`)
  return [
    {
      what: `${COMMANDS} commands of ${Math.min(...kinds)} to ${Math.max(...kinds)} kinds, ${SEEDS} seeds, undone in reverse and in any order, done again: views not as before`,
      figure: String(faults.length),
      wanted: '0',
    },
  ]
}
