import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BOX_COLUMNS, fliesNamed, readBoxTable, readFlyLine, readStoresTable } from './index.ts'
import type { NamedFly } from './index.ts'
import { MOST_TABLE_ROWS } from './table.ts'

const flies: readonly NamedFly[] = [
  { key: 'a', patternName: 'Third Button', label: '#16 B 2.8' },
  { key: 'b', patternName: 'Third Button', label: '#14 B 3.3' },
  { key: 'c', patternName: 'Wet Slate', label: '#16' },
  { key: 'd', patternName: 'Bell Rope', label: '#14 black' },
  { key: 'e', patternName: 'Bell Rope', label: '#12 black' },
  { key: 'f', patternName: 'Bell Rope', label: '#14 olive' },
]
const places = [
  { key: 'p', boxName: 'Kitchen box', label: 'Nymphs' },
  { key: 'q', boxName: 'Pocket box', label: 'Nymphs' },
]

describe('readFlyLine', () => {
  it.each([
    ['olive jig 14 x6', 'olive jig', '14', 6],
    ['Olive jig #14 × 6', 'Olive jig', '14', 6],
    ['6 x olive jig, size 14', 'olive jig', '14', 6],
    ['grey thing 3x', 'grey thing', null, 3],
    ['sea thing 2/0', 'sea thing', '2/0', 1],
    ['model 72 brown', 'model 72 brown', null, 1],
    ['mole 88', 'mole 88', null, 1],
    ['6 olive jig 14', 'olive jig', '14', 6],
    ['6 olive jigs #14', 'olive jigs', '14', 6],
    ['olive jig #14 – 6', 'olive jig', '14', 6],
    ['olive jig 14 - 6', 'olive jig', '14', 6],
    ['olive jig #14, 6', 'olive jig', '14', 6],
    ['olive jig, size 14: 6', 'olive jig', '14', 6],
    ['a dozen olive jigs 14', 'olive jigs', '14', 12],
    ['half a dozen olive jigs size 14', 'olive jigs', '14', 6],
    ['two dozen midges 20', 'midges', '20', 24],
    ['six olive jigs 14', 'olive jigs', '14', 6],
    ['a couple of olive jigs 14', 'olive jigs', '14', 2],
    ['black 14 ×3', 'black', '14', 3],
    ['100 olive jigs', 'olive jigs', null, 100],
  ])('reads %s', (line, name, hookSize, count) => {
    expect(readFlyLine(line)).toMatchObject({ kind: 'fly', name, hookSize, count })
  })

  it.each([
    ['x6', 'noName'],
    ['', 'noName'],
    ['olive jig x0', 'noneOfIt'],
    ['olive jig x1000', 'tooMany'],
    // six flies, or size six?
    ['6 olive jig', 'countOrSize'],
    ['14 olive jig', 'countOrSize'],
  ])('refuses %s', (line, code) => {
    expect(readFlyLine(line)).toEqual({ kind: 'unclear', code })
  })

  it('gives back whatever name, size and count were written', () => {
    const word = fc.stringMatching(/^[a-w]{2,9}$/)
    fc.assert(
      fc.property(fc.array(word, { minLength: 1, maxLength: 4 }), fc.integer({ min: 1, max: 32 }), fc.integer({ min: 1, max: 999 }), (words, size, count) => {
        const name = words.join(' ')
        expect(readFlyLine(`${name} #${size} x${count}`)).toMatchObject({ kind: 'fly', name, hookSize: String(size), count })
      }),
    ) // prettier-ignore
  })
})

describe('fliesNamed', () => {
  const named = (text: string) => {
    const line = readFlyLine(text)
    if (line.kind !== 'fly') throw new Error(line.code)
    return fliesNamed(line, flies).map(({ key }) => key)
  }
  it('finds the one that is called so, whatever the case and punctuation', () => {
    expect(named('third button 16 b 2.8')).toEqual(['a'])
    expect(named('third button #16 B 2.8 x3')).toEqual(['a'])
    expect(named('THIRD BUTTON #14')).toEqual(['b'])
  })

  it('finds a variant by its words in any order, in the plural, and under its pattern by what sets it apart', () => {
    expect(named('black bell ropes 14 x3')).toEqual(['d'])
    expect(named('bell rope black #14 – 6')).toEqual(['d'])
    expect(named('6 third buttons 14')).toEqual(['b'])
    const line = readFlyLine('black 14 ×3')
    if (line.kind !== 'fly') throw new Error(line.code)
    expect(fliesNamed(line, flies, 'Bell Rope').map(({ key }) => key)).toEqual(['d'])
    expect(fliesNamed(line, flies)).toEqual([])
    expect(named('bell rope purple 14')).toEqual([])
  })

  it('finds all of a pattern where no size is said, and none on another hook', () => {
    expect(named('Third Button')).toEqual(['a', 'b'])
    expect(named('Third Button 18')).toEqual([])
  })
})

const HEADING = [...BOX_COLUMNS]
const box = (
  rows: readonly (readonly string[])[],
  { takeUnknown = false, unclosedQuoteRow = null as number | null } = {},
) => readBoxTable([HEADING, ...rows], places, flies, { takeUnknown, unclosedQuoteRow })

describe('readBoxTable', () => {
  it('matches box, compartment, pattern and variant by name', () => {
    const { rows, faults } = box([
      ['pocket BOX', 'nymphs', 'third button', '#16 B 2.8', '7'],
      ['', '', '', '', ''],
    ])
    expect(faults).toEqual([])
    expect(rows).toMatchObject([{ row: 2, placeKey: 'q', flyKey: 'a', count: 7 }])
  })

  it('names every fault with its row', () => {
    const { faults } = box([
      ['Attic box', 'Nymphs', 'Wet Slate', '#16', '1'],
      ['Kitchen box', 'Lures', 'Wet Slate', '#16', '1'],
      ['Kitchen box', 'Nymphs', 'Nobody', '', '1'],
      ['Kitchen box', 'Nymphs', 'Third Button', '', '1'],
      ['Kitchen box', 'Nymphs', 'Wet Slate', '#16', '=1+1'],
      ['Kitchen box', 'Nymphs', 'Wet Slate', '#16', '-2'],
      ['Kitchen box', 'Nymphs', 'Wet Slate', '#16', '3'],
      ['Kitchen box', 'Nymphs', 'wet slate', '#16', '4'],
    ])
    expect(faults.map(({ row, code }) => [row, code])).toEqual([
      [2, 'unknownBox'],
      [3, 'unknownPlace'],
      [4, 'unknownFly'],
      [5, 'severalFlies'],
      [6, 'badCount'],
      [7, 'badCount'],
      [9, 'twice'],
    ])
  })

  it('takes an unknown name as a fly without a recipe where that is wanted', () => {
    const { rows } = box([['Kitchen box', 'Nymphs', 'Olive jig', '#14', '6']], { takeUnknown: true })
    expect(rows).toMatchObject([{ flyKey: null, name: 'Olive jig', label: '#14', count: 6 }])
  })

  it('refuses a table as a whole: no heading, a stray quote, broken letters, too many rows', () => {
    const code = (table: ReturnType<typeof box>) => table.faults.map((fault) => fault.code)
    expect(code(readBoxTable([['a', 'b']], places, flies, { takeUnknown: false, unclosedQuoteRow: null }))).toEqual(['noHeading']) // prettier-ignore
    expect(code(box([], { unclosedQuoteRow: 3 }))).toEqual(['strayQuote'])
    expect(code(box([['Kitchen box', 'Nymphs', 'MÃ¤rz', '', '1']]))).toEqual(['wrongEncoding'])
    const many = Array.from({ length: MOST_TABLE_ROWS + 1 }, () => [
      'Kitchen box',
      'Nymphs',
      'Wet Slate',
      '#16',
      '1',
    ])
    expect(code(box(many))).toEqual(['tooManyRows'])
    expect(code(box(many.slice(0, 2)))).toEqual(['twice'])
  })
})

const families = [
  {
    key: 'bead',
    name: 'Slotted tungsten bead',
    stockUnit: 'count',
    sizes: ['2.8', '3.3'],
    colours: ['copper'],
  },
  { key: 'wire', name: 'Lead-free wire', stockUnit: 'mm', sizes: ['0.5'], colours: ['grey'] },
  { key: 'dubbing', name: 'Hare dubbing', stockUnit: 'mg', sizes: [], colours: ['olive'] },
] as const
const drawers = [{ key: 'd', familyKey: 'bead', sizeKey: '2.8', colourName: 'copper' }]
const stores = (heading: readonly string[], ...rows: readonly (readonly string[])[]) =>
  readStoresTable([heading, ...rows], families, drawers, null)

describe('readStoresTable', () => {
  const heading = ['material', 'size', 'colour', 'on hand', 'unit', 'keep', 'pack price']
  it('reads amounts in the unit that is said, as the smallest steps', () => {
    const { rows, faults } = stores(
      heading,
      ['slotted tungsten bead', '2.8', 'Copper', '18', 'pieces', '10', '4.50'],
      ['Lead-free wire', '0.5', 'grey', '2,5', 'm', '', ''],
      ['Lead-free wire', '0.5', 'grey', '250', 'cm', '', ''],
      ['Hare dubbing', '', 'olive', '1.5', '', '0.5', ''],
    )
    expect(faults.map(({ row, code }) => [row, code])).toEqual([[4, 'twice']])
    expect(rows).toMatchObject([
      { drawerKey: 'd', counted: 1800, minimumAmount: 1000, priceMinor: 450 },
      { drawerKey: null, familyKey: 'wire', counted: 2500, minimumAmount: null },
      { drawerKey: null, familyKey: 'dubbing', counted: 1500, minimumAmount: 500 },
    ])
  })

  it('names unknown materials, sizes, colours and units, and what is no amount', () => {
    const { faults } = stores(
      heading,
      ['Moon dust', '', '', '1', '', '', ''],
      ['Slotted tungsten bead', '9', 'copper', '1', '', '', ''],
      ['Slotted tungsten bead', '2.8', 'teal', '1', '', '', ''],
      ['Slotted tungsten bead', '2.8', 'copper', '1', 'm', '', ''],
      ['Slotted tungsten bead', '2.8', 'copper', '-1', '', '', ''],
      ['Slotted tungsten bead', '2.8', 'copper', '1', '', '', '=HYPERLINK("x")'],
    )
    expect(faults.map(({ code }) => code)).toEqual([
      'unknownMaterial',
      'unknownSize',
      'unknownColour',
      'unknownUnit',
      'badAmount',
      'badPrice',
    ])
  })

  it('takes the apostrophe off that keeps a spreadsheet from running a cell', () => {
    const table = stores(['material', 'size', 'colour', 'on hand', 'from'], [
      'Hare dubbing', '', 'olive', '1', "'=the shop",
    ]) // prettier-ignore
    expect(table.rows[0]?.supplier).toBe('=the shop')
  })
})
