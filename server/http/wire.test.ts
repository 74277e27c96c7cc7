import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { box } from '../testing/smallBox.ts'
import { onShippedData } from '../testing/onShippedData.ts'
import type { TestServer } from '../testing/testServer.ts'
import { dishonest, inChunks, openWire } from '../testing/wire.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
let wire: Awaited<ReturnType<typeof openWire>>
beforeEach(async () => {
  wire = await openWire(server)
})
afterEach(async () => {
  await wire.close()
  await server.close()
})

const body = JSON.stringify({ id: '0190b3a0-0000-7000-8000-00000000c0de', kind: 'boxCreate', body: box })
const boxes = async () =>
  ((await server.get('/api/boxes').expect(200)).body as { boxes: unknown[] }).boxes.length

describe('a connection', () => {
  it('is kept for a page that asks once a minute', async () => {
    const answer = await fetch(`${wire.address}/api/alive`)
    expect(Number(/timeout=(\d+)/.exec(answer.headers.get('keep-alive') ?? '')?.[1])).toBeGreaterThan(60)
  })
})

describe('a body in chunks', () => {
  it('arrives whole, once', async () => {
    const before = await boxes()
    for (let n = 0; n < 2; n += 1) expect(await wire.ask(inChunks(body))).toMatchObject({ status: 200 })
    expect(await boxes()).toBe(before + 1)
  })

  it.each(Object.entries(dishonest(body)))('is refused or hung up on: %s', async (_what, pieces) => {
    const before = await boxes()
    const { status, text } = await wire.ask(pieces)
    if (status !== null) {
      expect(status).toBeGreaterThanOrEqual(400)
      expect(status).toBeLessThan(500)
    }
    expect(text).not.toMatch(/node_modules|\n\s+at /)
    expect(await boxes()).toBe(before)
    expect(await wire.ask(inChunks(body))).toMatchObject({ status: 200 })
  })
})
