import { describe, expect, it } from 'vitest'
import { homeAddress } from './homeAddress.ts'

const at = (address: string, internal = false, family: 'IPv4' | 'IPv6' = 'IPv4') =>
  ({ address, internal, family, netmask: '', mac: '', cidr: null, scopeid: 0 }) as never
const loopback = [at('127.0.0.1', true), at('::1', true, 'IPv6')]

describe('the address for phones', () => {
  it('is the one that this machine has in its network', () => {
    expect(homeAddress(undefined, { lo: loopback, wlan: [at('192.168.1.20'), at('fe80::1', false, 'IPv6')] })).toBe('192.168.1.20') // prettier-ignore
  })

  it('is asked for where there are several, and none is said to be none', () => {
    const several = { lo: loopback, wlan: [at('192.168.1.20')], vpn: [at('10.8.0.2')] }
    expect(() => homeAddress(undefined, several)).toThrow('192.168.1.20, 10.8.0.2. Say which with --listen-on')
    expect(homeAddress('10.8.0.2', several)).toBe('10.8.0.2')
    expect(() => homeAddress(undefined, { lo: loopback })).toThrow('in no network')
  })

  it.each(['0.0.0.0', '::', '*', '', 'fe80::1'])('is never “%s”: phones call one address', (said) => {
    expect(() => homeAddress(said)).toThrow('not one address')
  })
})
