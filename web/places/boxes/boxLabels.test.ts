import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import type { BoxLine } from '../../../contract/index.ts'
import { drawnOnPdf, fontFiles, textOfPdf } from '../../testing/pdf.ts'
import { boxLabels } from './boxLabels.ts'

const fly = (n: number, par: number | null = null) => ({ patternName: `Fly ${n}`, label: '#14', par })
const box = (places: number, flies: readonly object[] = []) =>
  ({
    name: 'Dale Box',
    compartments: Array.from({ length: places }, (_, i) => ({ label: `Place ${i + 1}`, flies })),
  }) as unknown as BoxLine
const labels = async (of: BoxLine) => {
  const bytes = await boxLabels(of, fontFiles())
  const lines = (await textOfPdf(bytes)).split('\n')
  return { pages: (await PDFDocument.load(bytes)).getPages(), lines }
}

describe('boxLabels', () => {
  it('has the compartment, its box and its flies, with how many of each are kept', async () => {
    const { lines } = await labels(box(1, [fly(1, 6), fly(2)]))
    expect(lines).toEqual(['Place 1', 'Dale Box', 'Fly 1 #14, keep 6', 'Fly 2 #14'])
  })

  it('names six flies at most: a label has no room for more', async () => {
    const { lines } = await labels(
      box(
        1,
        Array.from({ length: 9 }, (_, i) => fly(i + 1)),
      ),
    )
    expect(lines.slice(2)).toEqual([
      'Fly 1 #14',
      'Fly 2 #14',
      'Fly 3 #14',
      'Fly 4 #14',
      'Fly 5 #14',
      'Fly 6 #14',
    ])
  })

  it.each([
    [24, 1],
    [25, 2],
    [49, 3],
  ])('puts %i labels, three across and eight down, on %i sheets of A4', async (places, sheets) => {
    const { pages, lines } = await labels(box(places))
    expect(pages).toHaveLength(sheets)
    expect(pages[0]?.getWidth()).toBeCloseTo(595.28, 1)
    expect(pages[0]?.getHeight()).toBeCloseTo(841.89, 1)
    expect(lines.filter((line) => line.startsWith('Place'))).toHaveLength(places)
  })

  it('draws a line round each label and fills none: black text on black cannot be read', async () => {
    const drawn = (await drawnOnPdf(await boxLabels(box(3), fontFiles())))
      .split('\n')
      .map((line) => line.trim())
    expect(drawn.filter((line) => line === 'S')).toHaveLength(3)
    expect(drawn.filter((line) => /^(f|F|f\*|B|B\*|b|b\*)$/.test(line))).toEqual([])
  })

  it('shortens what is wider than its label', async () => {
    const long = {
      patternName: 'A name that goes on and on until nobody reads it to its end',
      label: '#14',
      par: null,
    }
    const { lines } = await labels(box(1, [long]))
    expect(lines[2]).toMatch(/^A name that goes on .*\.$/)
    expect(lines[2]?.length).toBeLessThan(long.patternName.length)
  })
})
