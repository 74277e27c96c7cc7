import { createServer } from 'node:http'
import type { RequestListener, Server } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import type { AddressInfo } from 'node:net'

/** A port that another program holds, with words for whoever started this one. */
export class PortTakenError extends Error {}

/** An address that cannot be listened on, with words for whoever asked for it. */
export class AddressError extends Error {}

/** Certificate and key of a server that is asked by https. */
export interface Tls {
  readonly cert: string
  readonly key: string
}

/** Where to listen, and by which flags someone chooses otherwise. */
export interface Where {
  readonly host: string
  readonly port: number
  readonly portFlag: string
  readonly tls?: Tls | undefined
}

/** A server that listens, and how it is called. */
export interface Listening {
  readonly server: Server
  readonly address: string
}

/** A page that asks now and then keeps its connection: one that is let go just as it asks is a failure to it. */
const KEPT_ALIVE_MS = 65_000

function opened(answer: RequestListener, { tls }: Where): Server {
  try {
    return tls ? createSecureServer({ ...tls }, answer) : createServer(answer)
  } catch {
    throw new AddressError('The certificate and its key do not go together, or are none.')
  }
}

/**
 * Listens on one address.
 *
 * @throws PortTakenError, AddressError
 */
export function listen(answer: RequestListener, where: Where): Promise<Listening> {
  const { host, port, portFlag, tls } = where
  const troubles: Readonly<Record<string, Error>> = {
    EADDRINUSE: new PortTakenError(`Port ${port} is taken by another program. Stop it, or choose another with ${portFlag}.`),
    EADDRNOTAVAIL: new AddressError(`${host} is no address of this machine.`),
    ENOTFOUND: new AddressError(`${host} is no address of this machine.`),
  } // prettier-ignore
  return new Promise((resolve, reject) => {
    const server = opened(answer, where).listen(port, host)
    server.keepAliveTimeout = KEPT_ALIVE_MS
    server.headersTimeout = KEPT_ALIVE_MS + 1_000
    server.once('listening', () => {
      const { port: taken } = server.address() as AddressInfo
      resolve({ server, address: `${tls ? 'https' : 'http'}://${host}:${taken}` })
    })
    server.once('error', (error: NodeJS.ErrnoException) => reject(troubles[error.code ?? ''] ?? error))
  })
}

/** Ends a server with whatever it has open. */
export async function endListening({ server }: Listening): Promise<void> {
  server.closeAllConnections()
  await new Promise((resolve) => server.close(resolve))
}
