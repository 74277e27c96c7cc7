import { once } from 'node:events'
import { connect } from 'node:net'
import { endListening, listen } from '../listening.ts'
import type { TestServer } from './testServer.ts'

/** What came back over a connection; null where it was closed without an answer. */
export interface WireAnswer {
  readonly status: number | null
  readonly text: string
}

/** Writes pieces over a connection of its own, one after another, ends it and answers what came back. */
async function overTheWire(address: string, pieces: readonly string[]): Promise<WireAnswer> {
  const { hostname, port } = new URL(address)
  const socket = connect(Number(port), hostname)
  const chunks: Buffer[] = []
  socket.on('data', (chunk: Buffer) => chunks.push(chunk))
  // whoever is hung up on in the middle of a piece has had its answer, or none
  socket.on('error', () => socket.destroy())
  const closed = once(socket, 'close')
  for (const piece of pieces) {
    if (socket.destroyed) break
    socket.write(piece, 'latin1')
    await new Promise((resolve) => setImmediate(resolve))
  }
  socket.end()
  await closed
  const whole = Buffer.concat(chunks).toString('utf8')
  const status = /^HTTP\/1\.1 (\d+)/.exec(whole)?.[1]
  return {
    status: status === undefined ? null : Number(status),
    text: whole.slice(whole.indexOf('\r\n\r\n') + 4),
  }
}

/** Lets a server listen, for what has to come over a connection byte by byte. */
export async function openWire({ app }: TestServer) {
  const listening = await listen(app, { host: '127.0.0.1', port: 0, portFlag: '' })
  return {
    address: listening.address,
    ask: (pieces: readonly string[]) => overTheWire(listening.address, pieces),
    close: () => endListening(listening),
  }
}

const head = (...headers: readonly string[]) =>
  ['POST /api/commands HTTP/1.1', 'Host: 127.0.0.1:4180', 'Content-Type: application/json', 'Connection: close', ...headers, '', ''].join('\r\n') // prettier-ignore
const CHUNKED = 'Transfer-Encoding: chunked'
const LAST = '0\r\n\r\n'
const chunk = (text: string) => `${Buffer.byteLength(text).toString(16)}\r\n${text}\r\n`

/** A body in chunks of a few bytes, as any client may send it. */
export const inChunks = (body: string): readonly string[] => [
  head(CHUNKED),
  ...(
    Buffer.from(body, 'utf8')
      .toString('latin1')
      .match(/.{1,40}/gs) ?? []
  ).map((part) => `${part.length.toString(16)}\r\n${part}\r\n`),
  LAST,
]

/** Ways to send a body that no honest client has: pieces that lie about their length, or that never come. */
export const dishonest = (body: string): Readonly<Record<string, readonly string[]>> => ({
  'a chunk that is shorter than it says': [head(CHUNKED), `ffff\r\n${body}\r\n`, LAST],
  'a chunk that is longer than it says': [head(CHUNKED), `2\r\n${body}\r\n`, LAST],
  'a length that is no number': [head(CHUNKED), `zz\r\n${body}\r\n`, LAST],
  'a length beyond all memory': [head(CHUNKED), `ffffffffffffffff\r\n${body}\r\n`, LAST],
  'a length below nought': [head('Content-Length: -5'), body],
  'a body that ends early': [head(`Content-Length: ${body.length + 100}`), body],
  'no last chunk': [head(CHUNKED), chunk(body.slice(0, 20))],
  'a length and chunks at once': [head(CHUNKED, 'Content-Length: 5'), chunk(body), LAST],
  'two lengths': [head('Content-Length: 5', 'Content-Length: 6'), body],
  'an encoding that is none': [head('Transfer-Encoding: braided'), chunk(body), LAST],
  'chunks said to be squeezed that are not': [head(CHUNKED, 'Content-Encoding: gzip'), chunk(body), LAST],
  'a chunk that carries 20,000 letters about itself': [head(CHUNKED), `5;${'x'.repeat(20_000)}\r\n`, body, LAST],
  'a head without an end': [`${head(CHUNKED).trimEnd()}\r\nX-More: ${'x'.repeat(50_000)}`],
  'a body without end': [head(CHUNKED), ...Array.from({ length: 300 }, () => chunk('['.repeat(10_000)))],
}) // prettier-ignore
