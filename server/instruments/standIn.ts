import { createServer } from 'node:net'
import type { AddressInfo, Server, Socket } from 'node:net'
import { normal, randomFrom } from '../../core/index.ts'
import { writeLine } from './protocol.ts'
import type { InstrumentKind } from './protocol.ts'

/** A stand-in, and what it has before it: on its pan, through its gates, at its staff or mast. */
export interface StandIn {
  readonly kind: InstrumentKind
  readonly port: number
  /** puts something else on it */
  readonly put: (value: number) => void
  /** lets it drop its line after so many bytes of its next answer, as a loose plug does */
  readonly tearNext: (bytes: number) => void
  readonly stop: () => Promise<void>
}

const UNSTABLE_READINGS = 2
/** A bench scale of 0.1 mg drifts a little; two light gates see the time to a hundredth. */
const SCALE = { sdMg: 0.1, driftMg: 0.05, swingShare: 0.02 }
const TIMER_SD_S = 0.01
/** A staff is read to a few millimetres, air and wind to a few tenths. */
const OUTDOORS_SD = { level: 3, air: 0.2, wind: 0.3 } as const

/** An instrument that is none: it speaks the protocol on loopback so that a real one can take its place. */
export async function startStandIn(kind: InstrumentKind, seed: number): Promise<StandIn> {
  const random = randomFrom(seed)
  let value = 0
  let asked = 0
  let drift = 0
  let tearAfter: number | null = null
  const sockets = new Set<Socket>()
  const answer = (): string => {
    asked += 1
    if (kind === 'timer') {
      return asked <= 1
        ? writeLine(kind, { kind: 'waiting' })
        : writeLine(kind, {
            kind: 'stable',
            value: Math.max(value + TIMER_SD_S * normal(random), 0.05),
          })
    }
    if (kind !== 'scale')
      return writeLine(kind, { kind: 'stable', value: value + OUTDOORS_SD[kind] * normal(random) })
    drift += SCALE.driftMg * normal(random)
    const seen = value + drift + SCALE.sdMg * normal(random)
    return asked <= UNSTABLE_READINGS
      ? writeLine(kind, { kind: 'unstable', value: seen * (1 + SCALE.swingShare * normal(random)) })
      : writeLine(kind, { kind: 'stable', value: seen })
  }
  const server: Server = createServer((socket) => {
    sockets.add(socket)
    socket.on('close', () => sockets.delete(socket))
    socket.on('error', () => socket.destroy())
    socket.on('data', (data) => {
      if (!data.toString('ascii').startsWith('READ')) {
        socket.write(writeLine(kind, { kind: 'fault', word: 'COMMAND' }))
        return
      }
      const line = answer()
      if (tearAfter === null) socket.write(line)
      else {
        socket.end(line.slice(0, tearAfter))
        tearAfter = null
      }
    })
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  server.unref()
  return {
    kind,
    port: (server.address() as AddressInfo).port,
    put: (next) => {
      value = next
      asked = 0
    },
    tearNext: (bytes) => {
      tearAfter = bytes
    },
    stop: () => {
      for (const socket of sockets) socket.destroy()
      return new Promise((resolve) => {
        server.close(() => resolve())
      })
    },
  }
}
