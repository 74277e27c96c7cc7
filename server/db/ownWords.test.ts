import { eq, getTableColumns, sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeTemplate } from '../testing/testServer.ts'
import type { TestServer } from '../testing/testServer.ts'
import type { Reader } from './database.ts'
import { fixedId } from './ids.ts'
import { among, inserterInto, packedRows } from './ownWords.ts'
import { compartment, pattern } from './schema.ts'

let template: Awaited<ReturnType<typeof makeTemplate>>
let server: TestServer
let db: Reader

const NAMES = ['Rag “Rug”', 'Cold\nTea', 'Mouse’s "best" \\ 🪰', 'Wet Slate', '']
const idOf = (n: number) => fixedId<(typeof pattern.$inferSelect)['id']>(`own-words:${n}`)

beforeAll(async () => {
  template = await makeTemplate(({ write }) =>
    write(async (tx) => {
      for (const [n, name] of NAMES.entries())
        await tx.insert(pattern).values({
          id: idOf(n),
          name,
          nameKey: name.toLowerCase(),
          purpose: 'imitation',
          roles: n % 2 ? ['muted'] : [],
          ownMonths: [n + 1],
          fishedHow: ['dry', 'a word, with a comma'],
          waterKinds: [],
          dislike: 0.1 + 0.2,
        })
    }),
  )
  server = await template.open()
  db = server.database.db
})

afterAll(async () => {
  await server.close()
  await template.remove()
})

const { dislike, ...COLUMNS } = getTableColumns(pattern)

describe('rows packed into one cell', () => {
  it('are what the ORM reads: letters, lists, numbers and what is not there', async () => {
    const packed = await packedRows(db, COLUMNS, sql`from ${pattern}`, sql`${pattern.nameKey} desc`)
    const read = await db
      .select(COLUMNS)
      .from(pattern)
      .orderBy(sql`${pattern.nameKey} desc`)
    expect(packed).toEqual(read)
    expect(packed.map(({ name }) => name)).toEqual([NAMES[3], NAMES[0], NAMES[2], NAMES[1], NAMES[4]])
    expect(packed[0]).toMatchObject({ roles: ['muted'], ownMonths: [4], archivedAtMs: null })
  })

  it('are what the ORM reads of two tables, one of them under a name', async () => {
    const asked = { pattern: COLUMNS, label: compartment.label }
    const join = sql`from ${pattern} left join ${compartment} on ${compartment.label} = ${pattern.name}`
    const packed = await packedRows(db, asked, join, sql`${pattern.nameKey}`)
    const read = await db
      .select(asked)
      .from(pattern)
      .leftJoin(compartment, eq(compartment.label, pattern.name))
      .orderBy(pattern.nameKey)
    expect(packed).toEqual(read)
    expect(packed.map(({ label }) => label).every((label) => label === null)).toBe(true)
  })

  it('are none where there are none', async () => {
    expect(await packedRows(db, COLUMNS, sql`from ${pattern} where 0`, sql`1`)).toEqual([])
  })

  it('refuse reals, whose last digits they would lose', async () => {
    await expect(packedRows(db, { dislike }, sql`from ${pattern}`, sql`1`)).rejects.toThrow('dislike')
  })
})

describe('one of many values', () => {
  it('takes more of them than a statement takes parameters', async () => {
    const many = Array.from({ length: 40_000 }, (_, n) => idOf(n + 3))
    const found = await db.select({ id: pattern.id }).from(pattern).where(among(pattern.id, many))
    expect(new Set(found.map(({ id }) => id))).toEqual(new Set([idOf(3), idOf(4)]))
  })

  it('finds nothing among none', async () => {
    expect(await db.select({ id: pattern.id }).from(pattern).where(among(pattern.id, []))).toEqual([])
  })
})

describe('rows put in one after the other', () => {
  it('are what the ORM puts in: letters, lists, numbers, what is not there and what is usual', async () => {
    const row = {
      name: 'Mouse’s "best" 🪰',
      nameKey: 'x',
      purpose: 'imitation',
      ownMonths: [],
      fishedHow: ['dry'],
      waterKinds: [],
      version: 3,
    } as const
    await server.database.write(async (tx) => {
      const insert = inserterInto(tx, pattern, 'left')
      await insert({ ...row, id: idOf(20), nameKey: 'one', dislike: 0.1 + 0.2 })
      await insert({ ...row, id: idOf(21), nameKey: 'two', currentDressingId: null })
      await insert({ ...row, id: idOf(20), nameKey: 'three' })
      await tx.insert(pattern).values({ ...row, id: idOf(22), nameKey: 'four', currentDressingId: null })
    })
    const rows = await db
      .select()
      .from(pattern)
      .where(among(pattern.id, [20, 21, 22].map(idOf)))
    const byKey = new Map(rows.map((one) => [one.nameKey, one]))
    expect([...byKey.keys()].sort()).toEqual(['four', 'one', 'two'])
    expect(byKey.get('one')).toMatchObject({ ...row, nameKey: 'one', dislike: 0.1 + 0.2, roles: [], note: '' })
    expect({ ...byKey.get('two'), id: '', nameKey: '' }).toEqual({ ...byKey.get('four'), id: '', nameKey: '' })
  })

  it('are refused where they are there already, unless they are to be left', async () => {
    const [row] = await db.select().from(pattern).limit(1)
    const again = (ifThere?: 'left') =>
      server.database.write((tx) => inserterInto(tx, pattern, ifThere)({ ...row!, note: 'again' }))
    await expect(again()).rejects.toThrow()
    await again('left')
    expect(
      (
        await db
          .select()
          .from(pattern)
          .where(among(pattern.id, [row!.id]))
      )[0],
    ).toEqual(row)
  })
})
