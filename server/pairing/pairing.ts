import { join } from 'node:path'
import type { PairingView } from '../../contract/index.ts'
import { makeCode } from './code.ts'
import type { Tried } from './code.ts'
import { openDevices } from './devices.ts'
import type { Device } from './devices.ts'

/** Who of the home network may come in, and how they get to. */
export interface Pairing {
  readonly view: () => PairingView
  /** Opens a code; an older one is worth nothing any more. */
  readonly open: () => PairingView
  /** Shows a phone out. */
  readonly end: (deviceId: string) => Promise<PairingView>
  /** A phone says a code: where it is right, what the phone shows from then on. */
  readonly admit: (
    said: string,
    phone: { readonly name: string; readonly address: string },
  ) => Promise<{ readonly token: string } | { readonly refused: Exclude<Tried, 'right'> }>
  /** The phone that shows this from this address; null where it may not come in. */
  readonly seen: (token: string, address: string) => Promise<Device | null>
  /** where phones are served, as they have to call it; null where they are not */
  servedAt: string | null
}

/** Pairing over a data directory. */
export async function makePairing(dataPath: string, nowMs: () => number = () => Date.now()): Promise<Pairing> {
  const code = makeCode(nowMs)
  const devices = await openDevices(join(dataPath, 'phones.json'), nowMs)
  const pairing: Pairing = {
    servedAt: null,
    view: () => ({
      servedAt: pairing.servedAt,
      code: code.current(),
      devices: devices.all().map(({ id, name, address, pairedAtMs, seenAtMs }) => ({
        id,
        name,
        address,
        pairedAtMs,
        seenAtMs,
      })),
    }),
    open() {
      code.open()
      return pairing.view()
    },
    async end(deviceId) {
      await devices.end(deviceId)
      return pairing.view()
    },
    async admit(said, { name, address }) {
      const tried = code.attempt(said)
      return tried === 'right' ? { token: await devices.admit(name, address) } : { refused: tried }
    },
    seen: devices.seen,
  }
  return pairing
}
