import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { commandBodies, routes } from '../../contract/index.ts'
import type { Route, RouteName } from '../../contract/index.ts'
import { newId } from '../db/ids.ts'
import { makeTemplate } from '../testing/testServer.ts'
import type { TestServer } from '../testing/testServer.ts'
import { hook, midge, patternId } from '../testing/smallBox.ts'
import { seedShipped } from '../upkeep/seed.ts'
import { openApiDocument } from './openapi.ts'

interface Operation {
  readonly summary: string
  readonly requestBody?: { readonly content: Readonly<Record<string, { schema: unknown }>> }
  readonly responses: Readonly<Record<string, { readonly content: Readonly<Record<string, unknown>> }>>
}
const document = openApiDocument('test') as unknown as {
  paths: Readonly<Record<string, Readonly<Record<'get' | 'post', Operation>>>>
  components: { schemas: Readonly<Record<string, { properties?: Readonly<Record<string, unknown>> }>> }
}
const list = Object.entries(routes) as [RouteName, Route][]
const described = (name: RouteName): Operation =>
  document.paths[routes[name].path.replace(/:(\w+)/g, '{$1}')]![routes[name].method]

describe('the description of the API', () => {
  it('has every route, with what it is for', () => {
    for (const [name, { summary }] of list) expect(described(name).summary, name).toBe(summary)
    expect(Object.keys(document.paths)).toHaveLength(new Set(list.map(([, { path }]) => path)).size)
  })

  it('has the body of each kind of command under its kind, and of every other route its own', () => {
    const bodies = JSON.stringify(described('command').requestBody)
    for (const kind of Object.keys(commandBodies)) {
      expect(bodies, kind).toContain(`Command_${kind}"`)
      const { properties } = document.components.schemas[`Command_${kind}`]!
      expect(Object.keys(properties ?? {}).sort(), kind).toEqual(['body', 'id', 'kind'])
    }
    expect(JSON.stringify(described('instrument').requestBody)).toContain('expected')
  })

  it('says that pictures go in as they are and come out as WebP', () => {
    expect(Object.keys(described('photos').requestBody!.content)).toEqual([
      'image/png',
      'image/jpeg',
      'image/webp',
    ])
    expect(Object.keys(described('photo').responses['200']!.content)).toEqual(['image/webp'])
  })
})

describe('the live server', () => {
  let server: TestServer
  let remove: () => Promise<void>
  beforeAll(async () => {
    const template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
    remove = template.remove
    server = await template.open()
    await server.command('boxCreate', {
      boxId: newId(),
      name: 'Box',
      note: '',
      compartments: [{ id: newId(), row: 1, column: 1, label: 'A', capacity: 6 }],
    } as never)
    await server.command('patternSave', { ...midge(), variants: midge().variants.map((one) => ({ ...one, homeCompartmentId: null })) }) // prettier-ignore
  })
  afterAll(async () => {
    await server.close()
    await remove()
  })

  const PARAMS: Readonly<Partial<Record<RouteName, string>>> = {
    pattern: patternId,
    materialUses: hook,
    search: '?q=thread',
    ledger: `?materialId=${hook as string}`,
  }
  const reads = list.filter(
    ([name, { method, query, params, media }]) =>
      method === 'get' && !media && ((!query && !params) || PARAMS[name]),
  )

  it.each(reads)('answers %s as described', async (name, { path, answer }) => {
    const asked = PARAMS[name] ?? ''
    const at = asked.startsWith('?') ? path + asked : path.replace(/:\w+/, asked)
    const { body, type } = await server.get(at).expect(200)
    expect(type).toBe('application/json')
    const parsed = answer.safeParse(body)
    expect(parsed.error?.issues ?? []).toEqual([])
  })

  it.each(Object.keys(commandBodies))(
    'knows the command %s, and refuses a body that is not its own',
    async (kind) => {
      const { body } = await server.send({ id: newId(), kind, body: { nonsense: true } }).expect(400)
      expect(body).toMatchObject({ code: 'invalidInput', status: 400 })
      expect(body.fields.length).toBeGreaterThan(0)
    },
  )

  it('refuses what no route is asked, at the field', async () => {
    const short = await server.get('/api/moment?on=2026-02-30&localMin=780').expect(400)
    expect(short.body.fields.map(({ path }: { path: string }) => path).sort()).toEqual(['on', 'reachId'])
    await server.get('/api/patterns/nothing').expect(400)
    await server.get('/api/ledger').expect(400)
    await server.send({ id: newId(), kind: 'unheardOf', body: {} }).expect(400)
  })
})
