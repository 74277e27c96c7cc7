import { randomFrom } from '../core/index.ts'
import { surviveKills } from './kills.ts'
import { expect, test } from './thistle.ts'

const KILLS = 8

test('a server killed while it writes, imports, restores or upgrades loses nothing that it acknowledged, and counts nothing twice', async () => {
  const report = await surviveKills(KILLS, randomFrom(7))
  expect(report).toMatchObject({ kills: KILLS, lost: 0, tooMany: 0, amiss: [] })
  // it is written to at half of them; how much, is for the machine to say
  expect(report.acknowledged).toBeGreaterThan(0)
})
