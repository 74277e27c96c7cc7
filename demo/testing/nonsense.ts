import { randomBytes } from 'node:crypto'
import { gzipSync } from 'node:zlib'
import { v7 } from 'uuid'
import { randomFrom } from '../../core/index.ts'
import { routes } from '../../contract/index.ts'
import type { TestServer } from '../../server/testing/testServer.ts'
import { dishonest, inChunks, openWire } from '../../server/testing/wire.ts'
import { anyCommand } from './anyCommand.ts'

/** What came of nonsense. */
export interface NonsenseReport {
  readonly sent: number
  readonly byStatus: Readonly<Record<number, number>>
  /** answers of 500 and above, and refusals that are no sentence */
  readonly faults: readonly string[]
}

type Random = () => number
const oneOf = <T>(random: Random, all: readonly T[]): T => {
  const one = all[Math.floor(random() * all.length)]
  if (one === undefined) throw new Error('there is none to choose from')
  return one
}

/** Values that make no sense at most places. */
const SENSELESS: readonly unknown[] = [
  null, '', ' ', 'x', -1, 0, 0.5, 1e9, 1e308, -1e308, 2 ** 53, true, false, [], {}, [[]], { a: 1 }, 'x'.repeat(3000), '\u0000', '\ud800', '🪰',
  '2026-02-30', '0000-01-01', '9999-12-31', '13-45', 'NaN', '1e3', '../../etc', '<script>', '=1+1', "'; drop table box; --", '__proto__', v7(), '00000000-0000-0000-0000-000000000000',
] // prettier-ignore

type Path = readonly (string | number)[]
const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null

/** Where a body has values: leaves and what holds them. */
function placesIn(value: unknown, path: Path = []): readonly Path[] {
  if (!isObject(value)) return [path]
  const keys = Array.isArray(value) ? value.map((_, i) => i) : Object.keys(value)
  return [...(path.length > 0 ? [path] : []), ...keys.flatMap((key) => placesIn(value[key], [...path, key]))]
}

/** A body with one place changed, taken away or added to. */
function spoil(body: unknown, random: Random): unknown {
  const spoiled = structuredClone(body)
  const path = oneOf(random, placesIn(body))
  const owner = path.slice(0, -1).reduce<unknown>((at, key) => (isObject(at) ? at[key] : undefined), spoiled)
  const last = path.at(-1)
  if (!isObject(owner) || last === undefined) return oneOf(random, SENSELESS)
  const how = random()
  if (how < 0.1) Reflect.deleteProperty(owner, last)
  else if (how < 0.2) owner[`${last}x`] = oneOf(random, SENSELESS)
  else if (how < 0.25 && Array.isArray(owner))
    owner.push(...Array.from({ length: 3000 }, () => owner[0] as unknown))
  else owner[last] = oneOf(random, SENSELESS)
  return spoiled
}

/** In the place of a status: the connection was closed without an answer. */
const HUNG_UP = 0

interface Answer {
  readonly status: number
  readonly text: string
}

/** Puts a body as raw bytes with headers that may lie. */
const sendRaw = (server: TestServer, path: string, bytes: Buffer, headers: Record<string, string>) =>
  server.agent
    .post(path)
    .set({ Host: '127.0.0.1:4180', 'content-type': 'application/json', ...headers })
    .serialize((sent: unknown) => sent as string)
    .send(bytes as unknown as string)

const lying = (random: Random, body: object) => {
  const text = Buffer.from(JSON.stringify(body))
  return oneOf<readonly [Buffer, Record<string, string>]>(random, [
    [text, { 'content-encoding': 'gzip' }],
    [gzipSync(text), { 'content-encoding': 'deflate' }],
    [gzipSync(text).subarray(0, 20), { 'content-encoding': 'gzip' }],
    [gzipSync(Buffer.alloc(20_000_000)), { 'content-encoding': 'gzip' }],
    [text, { 'content-encoding': 'br' }],
    [text, { 'content-type': 'text/plain' }],
    [text, { 'content-type': 'application/json; charset=utf-16' }],
    [text.subarray(0, text.length / 2), {}],
    [randomBytes(50), {}],
    [Buffer.alloc(0), {}],
    [Buffer.from('['.repeat(50_000)), {}],
  ])
}

/** An address of a route that reads, its parameters and its query at random. */
function anyAddress(random: Random): string {
  const { path } = oneOf(random, Object.values(routes))
  const odd = () => oneOf(random, ['%', '%00', '..%2f', 'x', v7(), '1', '%F0%9F%AA%B0', encodeURIComponent('"'), '-1', '2026-02-30', 'x'.repeat(500)]) // prettier-ignore
  const filled = path.replace(/:\w+/, odd)
  const names = ['reachId', 'on', 'localMin', 'q', 'keys', 'materialId', 'compartmentId', 'a']
  const query = Array.from({ length: Math.floor(random() * 3) }, () => `${oneOf(random, names)}=${odd()}`)
  return query.length > 0 ? `${filled}?${query.join('&')}` : filled
}

/** A sentence of ours: no name of a type, no trace, no letters of a schema. */
const isSentence = (detail: unknown) =>
  typeof detail === 'string' &&
  /^[“A-Z0-9].*[.?]$/s.test(detail) &&
  !/expected|received|undefined|NaN|\n\s+at /i.test(detail)

/**
 * Sends so much nonsense, drawn by a seed: commands with one field spoiled, whole and in chunks, bodies that are none,
 * connections that lie, addresses.
 */
export async function sendNonsense(server: TestServer, seed: number, count: number): Promise<NonsenseReport> {
  const random = randomFrom(seed)
  const byStatus: Record<number, number> = {}
  const faults: string[] = []
  const note = ({ status, text }: Answer, what: () => string) => {
    byStatus[status] = (byStatus[status] ?? 0) + 1
    if (status >= 500) faults.push(`${status} ${what()}: ${text.slice(0, 300)}`)
    // what is no request at all the platform refuses, without a word
    if (status < 400 || status >= 500 || text === '') return
    const { detail } = JSON.parse(text) as { detail?: unknown }
    if (!isSentence(detail)) faults.push(`${what()}: ${JSON.stringify(detail)}`)
  }
  const wire = await openWire(server)
  let some: Awaited<ReturnType<typeof anyCommand>> = null
  for (let n = 0; n < count; n += 1) {
    if (some === null || n % 8 === 0) some = await anyCommand(server, random)
    if (some === null) continue
    const { kind, body } = some
    const what = random()
    if (what < 0.04) {
      const sent = JSON.stringify(spoil({ id: v7(), kind, body }, random))
      const [how, pieces] = oneOf(random, [
        ['in chunks', inChunks(sent)] as const,
        ...Object.entries(dishonest(sent)),
      ])
      const { status, text } = await wire.ask(pieces)
      note({ status: status ?? HUNG_UP, text }, () => `${how}: ${sent.slice(0, 600)}`)
    } else if (what < 0.75) {
      const sent = spoil({ id: v7(), kind, body }, random) as object
      note(await server.send(sent), () => `${kind} ${JSON.stringify(sent).slice(0, 600)}`)
    } else if (what < 0.85) {
      const [bytes, headers] = lying(random, { id: v7(), kind, body })
      const path = oneOf(random, [
        '/api/commands',
        '/api/imports',
        '/api/instruments/read',
        '/api/season/windows',
      ])
      note(
        await sendRaw(server, path, bytes, headers),
        () => `${path} ${JSON.stringify(headers)} ${bytes.length} bytes`,
      )
    } else {
      const path = anyAddress(random)
      note(await server.get(path), () => path)
    }
  }
  await wire.close()
  return { sent: count, byStatus, faults: [...new Set(faults)] }
}
