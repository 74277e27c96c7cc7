import { describe, expect, it } from 'vitest'
import type { FamilyFull, MaterialLine } from '../../../contract/index.ts'
import { makeBareFlies } from './bareFlies.ts'
import {
  fliesIn,
  isUnsettled,
  NO_RECIPE,
  patternNamesOf,
  putLines,
  readFlyLines,
  usualHooks,
} from './flyLines.ts'

const flies = [
  { key: 'jig14', patternName: 'Olive Jig', label: '#14 olive' },
  { key: 'jig16', patternName: 'Olive Jig', label: '#16 olive' },
  { key: 'button', patternName: 'Third Button', label: '#16 W 2.8' },
]
const hooks = {
  id: 'straight',
  sizes: ['12', '14', '16'],
  colours: [{ name: 'bronze' }],
} as unknown as FamilyFull
const drawer = (id: string, familyId: string, sizeKey: string, kind = 'hook') =>
  ({ id, familyId, sizeKey, kind }) as unknown as MaterialLine

describe('readFlyLines', () => {
  const text = 'third button x4\n\nolive jig x6\nbent pin 12 x3\n'
  const lines = readFlyLines(text, flies)

  it('reads each line that is not empty against the flies that there are', () => {
    expect(lines.map(({ named }) => named.map(({ key }) => key))).toEqual([['button'], ['jig14', 'jig16'], []])
    expect(fliesIn(lines)).toBe(13)
  })

  it('finds a known variant by what sets it apart below its pattern, never a second one', () => {
    const below = readFlyLines('Olive Jig:\n#14 x3\n16 ×2\nthird button x1\n#14 x3', flies)
    expect(below.map(({ named }) => named.map(({ key }) => key)).slice(0, 3)).toEqual([
      ['jig14'],
      ['jig16'],
      ['button'],
    ])
    // the third button came between, so that the last line is of that, which has no 14
    expect(below[3]?.named).toEqual([])
  })

  it('takes no count alone for flies of the pattern above, nor goes on with it past another name', () => {
    expect(readFlyLines('third button x2\nx6', flies)[1]?.read.kind).toBe('unclear')
    expect(readFlyLines('olive jig 14 x2\nbent pin 12 x3\n16 x2', flies)[2]?.named).toEqual([])
  })

  it('asks which where a name could mean several, until one is chosen', () => {
    expect(lines.map((line) => isUnsettled(line, {}))).toEqual([false, true, false])
    expect(isUnsettled(lines[1]!, { 'olive jig x6': 'jig16' })).toBe(false)
  })

  it('asks about what it does not understand, and counts nothing of it', () => {
    const unclear = readFlyLines('x6', flies)
    expect(unclear[0]?.read.kind).toBe('unclear')
    expect(isUnsettled(unclear[0]!, {})).toBe(true)
    expect(fliesIn(unclear)).toBe(0)
  })

  it('puts in what was named, what was chosen, and what is made for lines without a recipe', () => {
    const bare = makeBareFlies(hooks, [], patternNamesOf(flies))
    const put = putLines(lines, { 'olive jig x6': NO_RECIPE }, 'place' as never, bare)
    expect(put.map(({ count }) => count)).toEqual([4, 6, 3])
    expect(put[0]?.variantId).toBe('button')
    expect(bare.newFlies.map(({ name, label }) => `${name} ${label}`)).toEqual([
      'olive jig, no recipe size unknown',
      'bent pin #12',
    ])
    expect(put.slice(1).map(({ variantId }) => variantId)).toEqual(
      bare.newFlies.map(({ variantId }) => variantId),
    )
    expect(putLines(lines, { 'olive jig x6': 'jig16' }, 'place' as never, bare)[1]?.variantId).toBe('jig16')
  })
})

describe('makeBareFlies', () => {
  it('makes each name and size once, with one drawer for hooks of a size', () => {
    const bare = makeBareFlies(hooks, [drawer('there', 'straight', '12')], [])
    const first = bare.variantFor('Bent Pin', '14')
    expect(bare.variantFor('bent pin', '14')).toBe(first)
    expect(bare.variantFor('Bent Pin', '16')).not.toBe(first)
    bare.variantFor('Other', '14')
    bare.variantFor('Other', '12')
    expect(bare.newMaterials.map(({ sizeKey, colourName }) => `${sizeKey} ${colourName}`)).toEqual([
      '14 bronze',
      '16 bronze',
    ])
    expect(bare.newFlies.at(-1)?.hookMaterialId).toBe('there')
    expect(bare.newFlies.map(({ name }) => name)).toEqual([
      'Bent Pin',
      'Bent Pin, no recipe',
      'Other',
      'Other, no recipe',
    ])
  })

  it('takes the smallest size that the family lists where it does not have the one asked for', () => {
    const bare = makeBareFlies(hooks, [drawer('elsewhere', 'curved', '12')], [])
    bare.variantFor('Giant', '2')
    expect(bare.newMaterials).toMatchObject([{ sizeKey: '12' }])
  })
})

describe('usualHooks', () => {
  it('is the family with most sizes in the stores', () => {
    const drawers = [drawer('a', 'jig', '14'), drawer('b', 'straight', '12'), drawer('c', 'straight', '14'), drawer('d', 'bead', '3', 'bead'), drawer('e', 'bead', '4', 'bead'), drawer('f', 'bead', '5', 'bead')] // prettier-ignore
    expect(usualHooks(drawers)).toBe('straight')
    expect(usualHooks([])).toBeNull()
  })
})
