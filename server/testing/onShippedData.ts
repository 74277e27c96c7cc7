import { afterAll, beforeAll, beforeEach } from 'vitest'
import { seedShipped } from '../upkeep/seed.ts'
import { makeTemplate } from './testServer.ts'
import type { TestServer } from './testServer.ts'

/** Opens a server of its own for each test of a file, over a copy of what ships; whoever takes it closes it. */
export function onShippedData(take: (server: TestServer) => void): void {
  let template: Awaited<ReturnType<typeof makeTemplate>>
  beforeAll(async () => {
    template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
  })
  afterAll(() => template.remove())
  beforeEach(async () => take(await template.open()))
}
