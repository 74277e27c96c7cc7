import { mkdtemp, readFile, rm, stat } from 'node:fs/promises'
import { request } from 'node:http'
import { request as secureRequest } from 'node:https'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 } from 'uuid'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { PATHS } from '../contract/index.ts'
import type { AlongView, CommandInput, PairingView } from '../contract/index.ts'
import { start } from './start.ts'
import type { Running, StartOptions } from './start.ts'
import { testTls } from './testing/tls.ts'
import { lowReach, river } from './testing/smallRiver.ts'

let folder: string
let running: Running
const serve = (more: Partial<StartOptions['phones']> = {}) =>
  start({
    dataPath: join(folder, 'own'), port: 0, rootPath: process.cwd(), webFolder: null, logLevel: 'silent',
    phones: { host: '127.0.0.2', port: 0, ...more },
  }) // prettier-ignore
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'thistle-phones-'))
  running = await serve()
})
afterEach(async () => {
  vi.useRealTimers()
  await running.stop()
  await rm(folder, { recursive: true })
})

interface Asked {
  readonly method?: 'GET' | 'POST'
  readonly headers?: Readonly<Record<string, string>>
  readonly body?: string
  /** which phone asks */
  readonly from?: string
}
interface Answered {
  readonly status: number
  readonly text: string
  readonly cookie: string
  readonly setCookie: string
}
/** Asks as a phone does. */
function ask(
  path: string,
  { method = 'GET', headers = {}, body, from = '127.0.0.3' }: Asked = {},
): Promise<Answered> {
  return new Promise((resolve, reject) => {
    const at = `${running.phonesAt}${path}`
    const send = at.startsWith('https:') ? secureRequest : request
    const sent = send(at, { method, headers, localAddress: from, rejectUnauthorized: false }, (response) => {
      let text = ''
      response.on('data', (chunk: Buffer) => (text += chunk.toString()))
      response.on('end', () => {
        const [setCookie = ''] = response.headers['set-cookie'] ?? []
        resolve({ status: response.statusCode ?? 0, text, setCookie, cookie: setCookie.split(';')[0] ?? '' })
      })
    })
    sent.on('error', reject)
    sent.end(body)
  }) // prettier-ignore
}
const FORM = { 'content-type': 'application/x-www-form-urlencoded' }
const pair = (code: string, more: Asked = {}, name = 'Green phone') =>
  ask('/pair', { method: 'POST', headers: FORM, body: new URLSearchParams({ code, name }).toString(), ...more }) // prettier-ignore
const atHome = async <Answer>(path: string, body?: object): Promise<Answer> =>
  (await (
    await fetch(running.address + path, body && { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
  ).json()) as Answer // prettier-ignore
const openCode = async () => (await atHome<PairingView>(PATHS.pairingOpen, {})).code?.code ?? ''
const paired = async () => (await pair(await openCode())).cookie
/** Any code but this one. */
const another = (code: string) => (code.startsWith('A') ? 'B' : 'A') + code.slice(1)

const outingId = v7() as CommandInput<'outingSave'>['outingId']
async function planned(): Promise<void> {
  const outing = {
    waterId: river.waterId, reachId: lowReach, on: new Date().toISOString().slice(0, 10), fromLocalMin: 600,
    toLocalMin: 900, status: 'planned', technique: 'dry', note: '',
  } // prettier-ignore
  await atHome('/api/commands', { id: v7(), kind: 'waterCreate', body: river })
  await atHome('/api/commands', { id: v7(), kind: 'outingSave', body: { outingId, version: null, outing } })
}
const taps = [{ id: v7(), atMs: Date.now(), kind: 'sign', signKey: 'duns-upright', seen: true }]
const sendLog = (cookie: string, more: Asked = {}, said: object = { id: v7(), taps }) => {
  const { headers, ...rest } = more
  return ask(`/outings/${outingId}/log`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie, ...headers },
    body: JSON.stringify(said),
    ...rest,
  })
}
const keptTaps = async () =>
  (await atHome<AlongView | null>(PATHS.along.replace(':id', outingId)))?.taps.map(({ id }) => id)

describe('the home network', () => {
  it('is answered by a door alone, whatever is asked', async () => {
    await planned()
    for (const path of Object.values(PATHS)) {
      const { status, text } = await ask(path.replace(':id', outingId))
      expect(status, path).toBe(401)
      expect(text, path).toContain('Pair this phone')
    }
    expect((await sendLog('')).status).toBe(401)
    expect(await keptTaps()).toEqual([])
  })

  it('reaches nothing of the application but outings and their logs, also when it is paired', async () => {
    await planned()
    const cookie = await paired()
    for (const path of Object.values(PATHS)) {
      const at = path.replace(':id', outingId)
      expect((await ask(at, { headers: { cookie } })).status, path).toBe(404)
      const posted = { method: 'POST', headers: { cookie, 'content-type': 'application/json' }, body: '{}' } as const
      expect((await ask(at, posted)).status, path).toBe(404)
    }
    const { text } = await ask('/', { headers: { cookie } })
    expect(text).toContain(`/outings/${outingId}/file`)
  }) // prettier-ignore

  it('is served by no other name, and to no page of another origin', async () => {
    const cookie = await paired()
    const own = running.phonesAt?.replace('http://', '') ?? ''
    for (const host of ['127.0.0.1:' + own.split(':')[1], 'example.test', '127.0.0.2', `${own}0`, '127.0.0.2.example.test'])
      expect((await ask('/', { headers: { cookie, host } })).status, host).toBe(403)
    for (const origin of ['http://example.test', running.address, 'null', `https://${own}`])
      expect((await sendLog(cookie, { headers: { origin } })).status, origin).toBe(403)
    expect((await ask('/', { headers: { cookie, host: own } })).status).toBe(200)
    // and what is for phones is not served on loopback
    expect((await fetch(running.address + `/outings/${outingId}/file`)).status).toBe(404)
  }) // prettier-ignore
})

describe('a code', () => {
  it('lets one phone in, however it is typed, with a cookie for it alone', async () => {
    const code = await openCode()
    expect(code).toMatch(/^[0-9A-HJKMNP-TV-Z]{8}$/)
    const { status, setCookie, cookie } = await pair(` ${code.slice(0, 4).toLowerCase()}-${code.slice(4)} `)
    expect(status).toBe(303)
    expect(setCookie).toMatch(/HttpOnly/)
    expect(setCookie).toMatch(/SameSite=Strict/)
    expect((await ask('/', { headers: { cookie } })).status).toBe(200)
    const { devices, code: open } = await atHome<PairingView>(PATHS.pairing)
    expect(devices).toMatchObject([{ name: 'Green phone', address: '127.0.0.3' }])
    expect(open).toBeNull()
  })

  it('is spent by the phone that it let in', async () => {
    const code = await openCode()
    await pair(code)
    const again = await pair(code, { from: '127.0.0.4' })
    expect(again.status).toBe(401)
    expect(again.cookie).toBe('')
  })

  it('is worth nothing after five wrong tries, nor when a newer one is open', async () => {
    const code = await openCode()
    for (let n = 1; n <= 5; n += 1) expect((await pair(another(code))).status).toBe(401)
    const sixth = await pair(code)
    expect(sixth.status).toBe(401)
    expect(sixth.text).toContain('No code is open')
    const older = await openCode()
    const newer = await openCode()
    expect((await pair(older)).status).toBe(401)
    expect((await pair(newer)).status).toBe(303)
  })

  it('is still good at the fifth try', async () => {
    const code = await openCode()
    for (let n = 1; n <= 4; n += 1) await pair(another(code))
    expect((await atHome<PairingView>(PATHS.pairing)).code?.triesLeft).toBe(1)
    expect((await pair(code)).status).toBe(303)
  })

  it('is worth nothing after ten minutes', async () => {
    vi.useFakeTimers({ toFake: ['Date'] })
    const code = await openCode()
    vi.setSystemTime(Date.now() + 600_000)
    expect((await pair(code)).status).toBe(401)
    const next = await openCode()
    vi.setSystemTime(Date.now() + 599_000)
    expect((await pair(next)).status).toBe(303)
  })

  it('is none where nobody opened one: no guess lets anyone in', async () => {
    for (const code of ['', '00000000', 'null', 'undefined']) expect((await pair(code)).status).toBe(401)
  })
})

describe('with a certificate', () => {
  it('phones are served by https, and their cookie goes nowhere else', async () => {
    await running.stop()
    running = await serve({ tls: testTls })
    expect(running.phonesAt).toMatch(/^https:/)
    const { setCookie, cookie, status } = await pair(await openCode(), {
      headers: { ...FORM, origin: running.phonesAt ?? '' },
    })
    expect(status).toBe(303)
    expect(setCookie).toMatch(/Secure/)
    expect((await ask('/', { headers: { cookie } })).status).toBe(200)
    const plain = running.phonesAt?.replace('https', 'http') ?? ''
    expect((await sendLog(cookie, { headers: { origin: plain } })).status).toBe(403)
  })

  it('one that is none is said so, and nothing is served', async () => {
    await running.stop()
    const free = { ...testTls, key: 'no key' }
    await expect(serve({ tls: free })).rejects.toThrow('certificate and its key do not go together')
    await expect(serve({ host: '192.0.2.7' })).rejects.toThrow('192.0.2.7 is no address of this machine')
    running = await serve()
    const port = Number(running.phonesAt?.split(':')[2])
    await running.stop()
    running = await serve({ port })
    await expect(start({ dataPath: join(folder, 'other'), port: 0, rootPath: process.cwd(), webFolder: null, logLevel: 'silent', phones: { host: '127.0.0.2', port } })).rejects.toThrow('--listen-port') // prettier-ignore
  })
})

describe('a phone that was let in', () => {
  it('sends its log: the same taps again change nothing', async () => {
    await planned()
    const cookie = await paired()
    expect((await sendLog(cookie)).status).toBe(200)
    expect((await sendLog(cookie)).status).toBe(200)
    expect(await keptTaps()).toEqual(taps.map(({ id }) => id))
  })

  it('is told at the field what is no log', async () => {
    await planned()
    const cookie = await paired()
    for (const said of [{ id: v7(), taps: [] }, { id: v7(), taps: [{ kind: 'rise' }] }, { id: v7(), kind: 'fliesLose', body: {} }, { taps }])
      expect((await sendLog(cookie, {}, said)).status).toBe(400)
    expect(await keptTaps()).toEqual([])
  }) // prettier-ignore

  it('has to pair again from another address, or with a cookie that is not its own', async () => {
    await planned()
    const cookie = await paired()
    expect((await sendLog(cookie, { from: '127.0.0.4' })).status).toBe(401)
    expect((await sendLog(`${cookie}x`)).status).toBe(401)
    expect((await sendLog('phone=')).status).toBe(401)
    expect((await sendLog(cookie)).status).toBe(200)
  })

  it('is known after a start, and shown out for good', async () => {
    await planned()
    const cookie = await paired()
    await running.stop()
    running = await serve()
    expect((await sendLog(cookie)).status).toBe(200)
    const [device] = (await atHome<PairingView>(PATHS.pairing)).devices
    const { devices } = await atHome<PairingView>(PATHS.pairingEnd, { deviceId: device?.id })
    expect(devices).toEqual([])
    expect((await sendLog(cookie)).status).toBe(401)
    await running.stop()
    running = await serve()
    expect((await sendLog(cookie)).status).toBe(401)
  })

  it('is kept in a file of its user alone, which does not say what the phone shows', async () => {
    const cookie = await paired()
    const file = join(folder, 'own', 'phones.json')
    expect((await stat(file)).mode & 0o077).toBe(0)
    expect(await readFile(file, 'utf8')).not.toContain(cookie.split('=')[1])
  })
})
