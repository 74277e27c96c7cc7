import { createHash, randomBytes } from 'node:crypto'
import { readFile, rename, writeFile } from 'node:fs/promises'
import { z } from 'zod'
import { newId } from '../db/ids.ts'

/** A phone that was paired. Of what it shows, only a hash is kept. */
const device = z.object({
  id: z.string(),
  name: z.string(),
  address: z.string(),
  pairedAtMs: z.number(),
  seenAtMs: z.number(),
  tokenHash: z.string(),
})
export type Device = z.infer<typeof device>

const TOKEN_BYTES = 32
/** How often it is written down that a phone was there. */
const SEEN_EVERY_MS = 3_600_000
const hashOf = (token: string) => createHash('sha256').update(token).digest('base64url')

/** An address as it is compared: one that came in the newer form is the older one still. */
const plainAddress = (address: string) => address.replace(/^::ffff:/, '')

/** Devices of a folder. What cannot be read admits nobody. */
async function readDevices(file: string): Promise<Device[]> {
  try {
    return z.array(device).parse(JSON.parse(await readFile(file, 'utf8')))
  } catch {
    return []
  }
}

/**
 * Phones that may come in, in a file of their own beside the database: they are of this machine, not of the records,
 * so that a copy that is put back admits nobody who was shown out since.
 */
export async function openDevices(file: string, nowMs: () => number) {
  let devices = await readDevices(file)
  let writing: Promise<void> = Promise.resolve()
  const write = (next: Device[]): Promise<void> => {
    devices = next
    writing = writing
      .catch(() => undefined)
      .then(async () => {
        await writeFile(`${file}.part`, JSON.stringify(devices, null, 2), { mode: 0o600 })
        await rename(`${file}.part`, file)
      })
    return writing
  }
  return {
    all: (): readonly Device[] => devices,
    /** Admits a phone; what it has to show from then on is told this once. */
    async admit(name: string, address: string): Promise<string> {
      const token = randomBytes(TOKEN_BYTES).toString('base64url')
      const [pairedAtMs, seenAtMs] = [nowMs(), nowMs()]
      const added = { id: newId<string>(), name, address: plainAddress(address), pairedAtMs, seenAtMs }
      await write([...devices, { ...added, tokenHash: hashOf(token) }])
      return token
    },
    /** The phone that shows this, from the address that it was paired at; null where it is none, or was shown out. */
    async seen(token: string, address: string): Promise<Device | null> {
      const hash = hashOf(token)
      const found = devices.find((one) => one.tokenHash === hash && one.address === plainAddress(address))
      if (!found) return null
      if (nowMs() - found.seenAtMs > SEEN_EVERY_MS)
        await write(devices.map((one) => (one === found ? { ...one, seenAtMs: nowMs() } : one)))
      return found
    },
    /** Shows a phone out: what it shows is worth nothing from now on. */
    end: (id: string) => write(devices.filter((one) => one.id !== id)),
  }
}
/** Phones that may come in. */
export type Devices = Awaited<ReturnType<typeof openDevices>>
