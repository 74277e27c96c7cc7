import { describe, expect, it } from 'vitest'
import { FIELD_LIMITS } from '../core/index.ts'
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
    ...amounts.map((name) => ['a swap', name, (value: number) => swap.safeParse({ componentKey: 'it', [name]: value })] as const), // prettier-ignore
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
    expect(swap.safeParse({ componentKey: 'it', clipped: 0.5 }).success).toBe(false)
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
