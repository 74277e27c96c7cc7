import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { FIELD_LIMITS } from '../core/index.ts'
import { command } from './commands/index.ts'
import { figure, listed, written } from './limited.ts'
import { LIMITS } from './limits.ts'
import type { Limit, LimitName } from './limits.ts'
import { component, place, proportion, swap } from './records/dressing.ts'

const id = '0197a0a0-0000-7000-8000-000000000001'
const line = { key: 'it', kind: 'body', materialId: id, place: { from: 0, to: 1, side: 'around' } }
const amounts = ['turns', 'fibreCount', 'strands', 'layers', 'bulk'] as const
type Limited = keyof typeof FIELD_LIMITS

/** How far beyond a limit a figure is tried. */
const BEYOND = 0.001
const beyondOf = (name: Limited) => (FIELD_LIMITS[name].whole ? 1 : BEYOND)

describe('figures of a line', () => {
  const schemas = [
    ...[...amounts, 'clipped' as const].map((name) => ['a component', name, (value: number) => component.safeParse({ ...line, [name]: value })] as const), // prettier-ignore
    ...[...amounts, 'clipped' as const].map((name) => ['a swap', name, (value: number) => swap.safeParse({ componentKey: 'it', [name]: value })] as const), // prettier-ignore
    ['a length', 'factor', (value: number) => proportion.safeParse({ factor: value, of: 'shank' })] as const,
    ['a length', 'lengthMm', (value: number) => proportion.safeParse({ mm: value })] as const,
  ]

  it.each(schemas)('%s: %s is taken at its limits and refused beyond them', (_of, name, parse) => {
    const { min, max } = FIELD_LIMITS[name]
    expect(parse(min).success).toBe(true)
    expect(parse(max).success).toBe(true)
    expect(parse(min - beyondOf(name)).success).toBe(false)
    expect(parse(max + beyondOf(name)).success).toBe(false)
    expect(parse(NaN).success).toBe(false)
    expect(parse(Infinity).success).toBe(false)
    if (FIELD_LIMITS[name].whole) expect(parse(min + 0.5).success).toBe(false)
  })

  it('are refused where a line has no such figure', () => {
    expect(component.safeParse({ ...line, thickness: 3 }).success).toBe(false)
    expect(swap.safeParse({ componentKey: 'it', thickness: 0.5 }).success).toBe(false)
    expect(proportion.safeParse({ factor: 1, of: 'bend' }).success).toBe(false)
  })

  it('lie on the shank, from the eye backwards', () => {
    const at = (from: number, to: number) => place.safeParse({ from, to, side: 'around' })
    expect(at(0, 1).success).toBe(true)
    expect(at(0.5, 0.5).success).toBe(true)
    expect(at(0.5, 0.49).success).toBe(false)
    expect(at(-0.01, 1).success).toBe(false)
    expect(at(0, 1.01).success).toBe(false)
    expect(at(0.5, 0.4).error?.issues[0]?.path).toEqual(['to'])
  })
})

const entries = Object.entries(LIMITS) as [LimitName, Limit][]
const byUnit = (isOf: (unit: Limit['unit']) => boolean) => entries.filter(([, { unit }]) => isOf(unit))

describe('the table of limits', () => {
  it.each(byUnit((unit) => unit !== 'characters' && unit !== 'entries'))('figures: %s', (name, limit) => {
    const { min, max, whole } = limit
    const step = whole ? 1 : Math.max(Math.abs(max), Math.abs(min)) * 1e-6
    const takes = (value: number) => figure(name).safeParse(value).success
    expect(min).toBeLessThan(max)
    expect([takes(min), takes(max)]).toEqual([true, true])
    expect([takes(min - step), takes(max + step), takes(NaN), takes(-Infinity), takes(1e308)]).toEqual(
      Array(5).fill(false),
    )
    expect(takes(min + 0.5)).toBe(!whole && min + 0.5 <= max)
  })

  it.each(byUnit((unit) => unit === 'characters'))('texts: %s', (name, { min, max }) => {
    const takes = (length: number) => written(name).safeParse('x'.repeat(length)).success
    expect([takes(min), takes(max), takes(max + 1)]).toEqual([true, true, false])
    for (const odd of ['\u0000', 'a\u0007', '\ud800', 'x\udc00y'])
      expect(written(name).safeParse(odd).success, JSON.stringify(odd)).toBe(false)
    if (max > 4) expect(written(name).safeParse('a\n🪰').success).toBe(true)
    if (min > 0) {
      expect(takes(min - 1)).toBe(false)
      expect(written(name, { trimmed: true }).safeParse(' '.repeat(min)).success).toBe(false)
    }
  })

  it.each(byUnit((unit) => unit === 'entries'))('lists: %s', (name, { min, max }) => {
    const takes = (length: number) => listed(name, z.null()).safeParse(Array(length).fill(null)).success
    expect([takes(min), takes(max), takes(max + 1)]).toEqual([true, true, false])
    if (min > 0) expect(takes(min - 1)).toBe(false)
  })

  it('says each fault in a sentence', () => {
    for (const [name, { max, unit }] of entries) {
      const over = unit === 'characters' ? written(name).safeParse('x'.repeat(max + 1)) : unit === 'entries' ? listed(name, z.null()).safeParse(Array(max + 1).fill(null)) : figure(name).safeParse(max * 2 + 1) // prettier-ignore
      expect(over.error?.issues[0]?.message, name).toMatch(/^[A-Z].*\.$/)
    }
  })
})

type Json = Readonly<Record<string, unknown>>
const isJson = (value: unknown): value is Json => typeof value === 'object' && value !== null

/** Paths within a schema at which a text, a figure or a list has no end. */
function endless(schema: unknown, path = ''): readonly string[] {
  if (Array.isArray(schema)) return schema.flatMap((part, i) => endless(part, `${path}/${i}`))
  if (!isJson(schema)) return []
  const { type } = schema
  const ends =
    type === 'string'
      ? ['maxLength', 'pattern', 'format', 'enum', 'const', 'allOf'].some((word) => word in schema)
      : type === 'number' || type === 'integer'
        ? 'maximum' in schema && 'minimum' in schema
        : type === 'array'
          ? 'maxItems' in schema || 'prefixItems' in schema
          : true
  return [
    ...(ends ? [] : [path]),
    ...Object.entries(schema).flatMap(([key, part]) => endless(part, `${path}/${key}`)),
  ]
}

it('every text, figure and list of a command has an end', () => {
  const open = z.object({ text: z.string(), list: z.array(z.number().min(0)) })
  expect(endless(z.toJSONSchema(open))).toHaveLength(3)
  expect(endless(z.toJSONSchema(command, { io: 'input' }))).toEqual([])
})
