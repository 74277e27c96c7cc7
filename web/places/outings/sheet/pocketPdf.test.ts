import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import type { PocketCard } from '../../../parts/waterside/pocketCard.ts'
import { pocketMarkdown } from '../../../parts/waterside/pocketCard.ts'
import { fontFiles, textOfPdf } from '../../../testing/pdf.ts'
import { POCKET_SIZES, pocketPdf } from './pocketPdf.ts'

const card: PocketCard = {
  title: 'Upper Reach, Sat 6 June 2026, 10:00–16:00',
  rules: 'Your note: no lead.',
  lines: [
    { when: '10:00–12:30', what: 'Dark olive, nymph, 0.75 m', fly: 'Cellar Door #16', place: 'Nymphs', then: 'smaller: Cellar Door #18' }, // prettier-ignore
    { when: '12:30–15:00', what: 'Dark olive, dun', fly: null, place: '', then: '' },
    { when: '', what: 'While nothing shows', fly: 'Attic <b>Stair</b> #12', place: 'Searching', then: '' },
  ],
  rigs: ['Tight line, one nymph: 2 m 0.25 nylon, point Cellar Door #16'],
  help: ['Snout and a bubble: on top.'],
}

describe('a pocket card', () => {
  it('prints on A6 with all its lines and gaps, and a strip for the lid with the flies', async () => {
    const bytes = await pocketPdf(card, fontFiles())
    const pages = (await PDFDocument.load(bytes)).getPages()
    const sizes = pages.map((page) =>
      [page.getWidth(), page.getHeight()].map((pt) => Math.round((pt * 25.4) / 72)),
    )
    expect(sizes).toEqual([[...POCKET_SIZES.card], [...POCKET_SIZES.strip]])
    const text = await textOfPdf(bytes)
    for (const told of ['Cellar Door #16 (Nymphs)', 'smaller: Cellar Door #18', 'Nothing that is packed is for them.', 'no lead', 'Tight line, one nymph: 2 m 0.25 nylon', 'Snout and a bubble'])
      expect(text).toContain(told) // prettier-ignore
    expect(text.match(/Attic <b>Stair<\/b> #12/g)?.length).toBe(2)
  })

  it('goes on over a page where there is much', async () => {
    const much = { ...card, lines: Array.from({ length: 40 }, () => card.lines[0]!) }
    expect((await PDFDocument.load(await pocketPdf(much, fontFiles()))).getPageCount()).toBeGreaterThan(2)
  })

  it('reads as Markdown, a line for each thing that the day asks for', () => {
    const text = pocketMarkdown(card)
    expect(text).toMatch(/^# Upper Reach/)
    expect(text).toContain('- 10:00–12:30 Dark olive, nymph, 0.75 m: **Cellar Door #16** (Nymphs); smaller')
    expect(text).toContain('- 12:30–15:00 Dark olive, dun: Nothing that is packed')
  })
})
