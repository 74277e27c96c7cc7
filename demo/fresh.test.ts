import { join } from 'node:path'
import { expect, it } from 'vitest'
import { copyOfDemo, filledDemo } from './testing/filledDemo.ts'
import { compareKept } from './testing/keptAnswers.ts'

const COMMANDS = 7

// each view is kept until a table that it was read from is written to: by triggers and with removed rows, too.
// four seeds of twenty commands each: npm run bench -- fresh
it('answers after each command what a server answers that has kept nothing', async () => {
  const copy = await copyOfDemo(await filledDemo())
  const { differing, kinds, changedNothing } = await compareKept(
    join(copy.path, 'heavy-thistle.db'),
    COMMANDS,
    7,
  )
  expect(differing).toEqual([])
  expect(kinds.size).toBeGreaterThan(3)
  expect(changedNothing).toBeLessThan(COMMANDS / 2)
  await copy.remove()
})
