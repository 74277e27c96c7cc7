import { eq } from 'drizzle-orm'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { family, food, foodStage, setting } from '../db/schema.ts'
import { fixedId } from '../db/ids.ts'
import { seedShipped } from './seed.ts'
import { makeTemplate } from '../testing/testServer.ts'
import type { TestServer } from '../testing/testServer.ts'
import type { FamilyId, FoodStageId } from '../../contract/index.ts'

let server: TestServer
let remove: () => Promise<void>
beforeEach(async () => {
  const template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
  remove = template.remove
  server = await template.open()
})
afterEach(async () => {
  await server.close()
  await remove()
})

const [varnish, resin] = [fixedId<FamilyId>('family:varnish-clear'), fixedId<FamilyId>('family:resin-uv-thin')]
const stage = fixedId<FoodStageId>('stage:dark-olive-dun')

describe('seedShipped over an older data directory', () => {
  it('brings families and foods up to what ships today, but for those that were edited', async () => {
    const { database } = server
    await database.write(async (tx) => {
      await tx.update(family).set({ shippedVersion: 1, name: 'Old name' })
      await tx.update(family).set({ edited: true, name: 'My own resin' }).where(eq(family.id, resin))
      await tx.update(food).set({ shippedVersion: 1, name: 'Old food' })
      await tx.update(foodStage).set({ importance: 0.123, edited: true }).where(eq(foodStage.id, stage))
      await tx.update(setting).set({ body: { ...(await tx.select().from(setting))[0]!.body, parCount: 5 } })
    })
    await seedShipped(database, 'Europe/London')
    const families = await database.db.select().from(family)
    const nameOf = (id: string) => families.find((row) => row.id === id)?.name
    expect(nameOf(varnish)).toBe('Clear solvent varnish')
    expect(families.find(({ id }) => id === varnish)?.body.physics['dryingH']?.value).toBe(8)
    expect(nameOf(resin)).toBe('My own resin')
    expect(families.filter(({ name }) => name === 'Old name')).toEqual([])
    const foods = await database.db.select().from(food)
    expect(foods.filter(({ name }) => name === 'Old food')).toEqual([])
    const [own] = await database.db.select().from(foodStage).where(eq(foodStage.id, stage))
    expect(own?.importance).toBe(0.123)
    // what is the user's own is not touched
    const [settings] = await database.db.select().from(setting)
    expect(settings?.body.parCount).toBe(5)
  })

  it('leaves a directory alone that is up to date', async () => {
    const { database } = server
    await database.write(async (tx) => {
      await tx.update(family).set({ name: 'Mine meanwhile' }).where(eq(family.id, varnish))
    })
    await seedShipped(database, 'Europe/London')
    const [row] = await database.db.select().from(family).where(eq(family.id, varnish))
    expect(row?.name).toBe('Mine meanwhile')
  })
})
