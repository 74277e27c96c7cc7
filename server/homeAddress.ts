import { networkInterfaces } from 'node:os'
import type { NetworkInterfaceInfo } from 'node:os'
import { AddressError } from './listening.ts'

/** What stands for every address: phones call one. */
const EVERYWHERE = ['0.0.0.0', '::', '*', '']

/**
 * The address of this machine in the home network.
 *
 * @param said what whoever started the program chose
 * @throws AddressError where there is none, or several and nobody chose
 */
export function homeAddress(
  said: string | undefined,
  interfaces: NodeJS.Dict<NetworkInterfaceInfo[]> = networkInterfaces(),
): string {
  if (said !== undefined) {
    if (EVERYWHERE.includes(said) || said.includes(':'))
      throw new AddressError(`${said} is not one address of this machine. Say one, as 192.168.1.20.`)
    return said
  }
  const found = Object.values(interfaces)
    .flatMap((infos) => infos ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address)
  const [only, ...others] = found
  if (only === undefined)
    throw new AddressError(
      'This machine is in no network that a phone could be in. Without --listen it serves itself.',
    )
  if (others.length > 0)
    throw new AddressError(
      `This machine has several addresses: ${found.join(', ')}. Say which with --listen-on.`,
    )
  return only
}
