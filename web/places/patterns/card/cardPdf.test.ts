import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { evaluateFly, LIST_CONDITIONS, resolveDressing, sketchOf, wording } from '../../../../core/index.ts'
import type { DisplayUnits } from '../../../../core/index.ts'
import { jigNymph } from '../../../../core/testing/shippedMaterial.ts'
import { fontFiles, textOfPdf } from '../../../testing/pdf.ts'
import { CARD_SIZES, cardPdf } from './cardPdf.ts'
import type { CardSize } from './cardPdf.ts'

const units: DisplayUnits = { smallLength: 'mm', depth: 'm', speed: 'cm/s', temperature: '°C', mass: 'mg' }

function made() {
  const { dressing, variant, materials } = jigNymph()
  const fly = resolveDressing(dressing, variant, materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  const card = wording.cardOf({
    name: 'Cellar Door', label: '#16 ⅔', dressing, variant, fly, report: evaluateFly(fly, LIST_CONDITIONS),
    times: [{ depthMm: 1000, timeS: 2.9 }, { depthMm: 2000, timeS: null }], serves: ['Dark olive, nymph'], note: 'Two turns less.', units,
  }) // prettier-ignore
  return { card, sketch: sketchOf(fly) }
}

describe('cardOf', () => {
  it('has a step for each component with its numbers, and what the fly does', () => {
    const { card } = made()
    expect(card.figures[0]).toMatch(/^Weighs \d+ mg\.$/)
    expect(card.figures[1]).toMatch(/^Falls \d+ cm\/s, likely \d+–\d+/)
    expect(card.figures[2]).toBe('With its line: 1.0 m in 2.9 s.')
    expect(card.steps[0]).toMatchObject({ title: 'Slide the bead on' })
    expect(card.steps.find(({ title }) => title === 'Tie in the tail')?.numbers).toMatch(/mm long, 6 fibres/)
    expect(card.steps.at(-1)?.material).toBe('')
  })

  it('reads as Markdown with numbered steps', () => {
    const text = wording.cardMarkdown(made().card)
    expect(text).toMatch(/^# Cellar Door #16 ⅔\n\nHook: /)
    expect(text).toContain('\n1. Slide the bead on: ')
    expect(text).toContain('For: Dark olive, nymph')
    expect(text.endsWith('Two turns less.\n')).toBe(true)
  })
})

describe('cardPdf', () => {
  it.each(Object.keys(CARD_SIZES) as CardSize[])('prints all of it on %s', async (size) => {
    const { card, sketch } = made()
    const bytes = await cardPdf(card, sketch, size, fontFiles())
    const pages = (await PDFDocument.load(bytes)).getPages()
    const [wideMm, highMm] = CARD_SIZES[size]
    expect(pages[0]?.getWidth()).toBeCloseTo((wideMm * 72) / 25.4, 3)
    expect(pages[0]?.getHeight()).toBeCloseTo((highMm * 72) / 25.4, 3)
    const text = (await textOfPdf(bytes)).replaceAll('\n', ' ')
    expect(text).toContain('Cellar Door #16 2/3')
    for (const { title } of card.steps) expect(text).toContain(title)
    expect(text).toContain('Two turns less.')
    expect(text).toContain('For Dark olive, nymph')
  })
})
