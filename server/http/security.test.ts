import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Express } from 'express'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openDatabase } from '../db/database.ts'
import type { Database } from '../db/database.ts'
import { testApp } from '../testing/testServer.ts'
import { seedShipped } from '../upkeep/seed.ts'

let folder: string
let database: Database
let app: Express
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'thistle-security-'))
  await mkdir(join(folder, 'web', 'assets'), { recursive: true })
  await writeFile(join(folder, 'web', 'index.html'), '<!doctype html><style nonce="__CSP_NONCE__"></style>')
  await writeFile(join(folder, 'web', 'assets', 'main-1.js'), 'export {}')
  database = await openDatabase(join(folder, 'it.db'), join(process.cwd(), 'server', 'migrations'))
  await seedShipped(database, 'Europe/London')
  app = await testApp(database, join(folder, 'it.db'), join(folder, 'web'))
})
afterAll(async () => {
  await database.close()
  await rm(folder, { recursive: true, force: true })
})

const get = (path: string, headers: Record<string, string> = {}) =>
  request(app)
    .get(path)
    .set({ Host: '127.0.0.1:4180', ...headers })
/** The directives of a content security policy by their names. */
const directives = (policy: string): Readonly<Record<string, readonly string[]>> =>
  Object.fromEntries(policy.split(';').map((one) => [one.trim().split(' ')[0], one.trim().split(' ').slice(1)]))

describe('every answer', () => {
  it.each(['/', '/api/frame', '/api/nothing', '/assets/main-1.js', '/api/docs'])('%s runs no script from elsewhere, is framed by nobody, and is taken for what it says it is', async (path) => {
    const { headers } = await get(path)
    const policy = directives(headers['content-security-policy'] ?? '')
    expect(policy['default-src']).toEqual(["'self'"])
    expect(policy['object-src']).toEqual(["'none'"])
    expect(policy['base-uri']).toEqual(["'none'"])
    expect(policy['form-action']).toEqual(["'self'"])
    expect(policy['frame-ancestors']).toEqual(["'none'"])
    expect(policy['connect-src']).toEqual(["'self'"])
    for (const [name, sources] of Object.entries(policy))
      for (const source of sources) {
        expect(source, name).not.toMatch(/^https?:|\*|^'unsafe-eval'$/)
        if (source === "'unsafe-inline'") expect(name).toBe('style-src-attr')
      }
    expect(headers['x-content-type-options']).toBe('nosniff')
    expect(headers['x-frame-options']).toBe('SAMEORIGIN')
    expect(headers['referrer-policy']).toBe('no-referrer')
    expect(headers['cross-origin-opener-policy']).toBe('same-origin')
    expect(headers['cross-origin-resource-policy']).toBe('same-origin')
    expect(headers['strict-transport-security']).toBeUndefined()
    expect(headers['x-powered-by']).toBeUndefined()
  }) // prettier-ignore

  it('has a nonce of its own, and the page’s styles carry it', async () => {
    const pages = [await get('/'), await get('/boxes')]
    const nonces = pages.map(({ text, headers }) => {
      const [, nonce = ''] = /nonce="([^"]+)"/.exec(text) ?? []
      expect(Buffer.from(nonce, 'base64')).toHaveLength(16)
      const policy = directives(headers['content-security-policy'] ?? '')
      expect(policy['style-src']).toContain(`'nonce-${nonce}'`)
      expect(policy['script-src']).toContain(`'nonce-${nonce}'`)
      return nonce
    })
    expect(nonces[0]).not.toBe(nonces[1])
  })

  it('of the page itself is never kept, that of a hashed file for a year', async () => {
    expect((await get('/larder')).headers['cache-control']).toBe('no-store')
    expect((await get('/assets/main-1.js')).headers['cache-control']).toBe(
      'public, max-age=31536000, immutable',
    )
    expect((await get('/api/frame')).headers['cache-control']).toBe('no-store')
    // a tab of an older build asks for files that are gone: a page in their place would be run as a script
    await get('/assets/none.js').expect(404)
    await get('/api/none').expect(404).expect('content-type', /json/)
  })
})

describe('who is answered', () => {
  it.each(['127.0.0.1:4180', 'localhost:4180', 'localhost', '[::1]:4180'])('a page at %s', async (host) => {
    await get('/api/frame', { Host: host }).expect(200)
    await get('/api/frame', { Host: host, Origin: `http://${host}` }).expect(200)
  })

  it.each(['example.test', '127.0.0.1.example.test', 'localhost.example.test:4180', '192.168.0.7:4180', ''])('nobody who calls this server “%s”', async (host) => {
    const answer = await get('/api/frame', { Host: host })
    expect(answer.status).toBe(403)
    expect(answer.body.code).toBe('forbiddenOrigin')
  }) // prettier-ignore

  it.each(['http://example.test', 'https://127.0.0.1:4180', 'http://127.0.0.1:4181', 'null'])('no page of %s', async (origin) => {
    await get('/api/frame', { Origin: origin }).expect(403)
    const sent = request(app).post('/api/commands').set({ Host: '127.0.0.1:4180', Origin: origin }).send({})
    await sent.expect(403)
  }) // prettier-ignore

  it('no form, whatever it says it sends', async () => {
    for (const type of ['application/x-www-form-urlencoded', 'text/plain', 'multipart/form-data; boundary=x']) {
      const sent = request(app).post('/api/commands').set({ Host: '127.0.0.1:4180', 'Content-Type': type })
      const { status } = await sent.send('{"id":"x","kind":"undo","body":{}}')
      expect(status, type).toBeGreaterThanOrEqual(400)
      expect(status, type).toBeLessThan(500)
    }
  })
})
