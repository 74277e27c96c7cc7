import { describe, expect, it } from 'vitest'
import type { AlongView, OutingLine } from '../../../../contract/index.ts'
import { fontFiles, textOfPdf } from '../../../testing/pdf.ts'
import { keptMarkdown, keptPage, keptPdf } from './keptPage.ts'
import { movedBy } from './movedBy.ts'

const spell = (variantId: string, minutes: number, takes: number) => ({ variantId, patternName: variantId, label: '#16', minutes, takes, refusals: 0 }) // prettier-ignore
const outing = (id: string, on: string, spells: readonly object[], lost: number) =>
  ({
    ...{
      id,
      on,
      spells,
      waterName: 'Made Water',
      reachName: 'Low',
      fromLocalMin: 600,
      toLocalMin: 900,
      note: '',
    },
    losses: lost > 0 ? [{ patternName: 'Dun', label: '#16', count: lost, cause: 'tree' }] : [],
    rules: {},
  }) as unknown as OutingLine
const first = outing('a', '2026-05-01', [spell('Dun', 60, 0)], 1)
const second = outing('b', '2026-05-20', [spell('Dun', 90, 3), spell('Nymph', 30, 0)], 2)
const later = outing('c', '2026-06-20', [spell('Dun', 600, 0)], 9)

const UNITS = { smallLength: 'mm', depth: 'm', speed: 'cm/s', mass: 'mg', temperature: 'C' } as never
const along = {
  outing: second,
  timeZone: 'UTC',
  flies: [{ variantId: 'dun', name: 'Dun <b>#16</b>' }],
  stages: [{ foodStageId: 'olive', name: 'Olive, dun' }],
  taps: [
    { id: '1', atMs: Date.UTC(2026, 4, 20, 10), kind: 'sign', signKey: 'duns-upright', seen: true },
    { id: '2', atMs: Date.UTC(2026, 4, 20, 10, 5), kind: 'tiedOn', variantKey: 'dun', way: 'dry', stageKey: 'olive', step: null },
    { id: '3', atMs: Date.UTC(2026, 4, 20, 10, 20), kind: 'take', end: 'landed', lengthMm: 300 },
    { id: '4', atMs: Date.UTC(2026, 4, 20, 11), kind: 'counted', stageKey: 'olive', from: 'stones', count: 4 },
    { id: '5', atMs: Date.UTC(2026, 4, 20, 11, 30), kind: 'reeledIn' },
  ],
  booked: ['2', '4'],
} as unknown as AlongView // prettier-ignore

describe('what an outing moved', () => {
  it('is said of the season, the losses and the fly that was fished longest, by what was known until then', () => {
    const [season, losses, confidence] = movedBy(along, [later, second, first])
    expect(season).toContain('1 count of it')
    // two flies in two hours; with the outing before it three in three; the later one is not asked
    expect(losses).toBe(
      'Lost: 2 flies in 2.0 h that flies were fished; over all outings until then 3 flies in 3.0 h.',
    )
    expect(confidence).toMatch(/^Dun #16, fished longest: 3 takes in 1\.5 h/)
    const [now, before] = [...(confidence ?? '').matchAll(/(\d\.\d)–(\d\.\d) an hour/g)].map(([, low, high]) => [Number(low), Number(high)]) // prettier-ignore
    // three takes in two and a half hours, after none in one: it is trusted more, and never below nought
    expect(now?.[0]).toBeGreaterThan(before?.[0] ?? Infinity)
    expect(before?.[0]).toBeGreaterThanOrEqual(0)
    expect(movedBy({ ...along, outing: first }, [first])[2]).toContain('was not fished before')
  })

  it('is nothing where nothing was noted', () => {
    const bare = outing('b', '2026-05-20', [], 0)
    const [season, losses, confidence] = movedBy({ ...along, outing: bare, booked: [] }, [bare])
    expect(season).toContain('learnt nothing')
    expect(losses).toContain('No fly was noted')
    expect(confidence).toContain('none was noted')
  })
})

describe('the page of an outing', () => {
  const page = keptPage(along, movedBy(along, [second, first]), UNITS)

  it('tells the day in its order: what was seen, counted, fished, lost and moved', () => {
    const text = keptMarkdown(page)
    const told = ['# Low, Wed 20 May 2026, 10:00–15:00', 'Flies upright on the water', 'Olive, dun: 4', '10:05–11:30 Dun <b>#16</b> (Olive, dun): 1 take, 30 cm', 'Dun #16: 90 minutes, 3 takes', '2 Dun #16: tree', 'Lost: 2 flies in 2.0 h'] // prettier-ignore
    const places = told.map((line) => text.indexOf(line))
    expect(
      places.every((place) => place >= 0),
      told[places.indexOf(-1)],
    ).toBe(true)
    expect(places).toEqual(places.toSorted((a, b) => a - b))
  })

  it('prints with all of it', async () => {
    const text = (await textOfPdf(await keptPdf(page, fontFiles()))).replace(/\s+/g, ' ')
    for (const line of ['Low, Wed 20 May 2026', '1 take, 30 cm', 'Dun <b>#16</b>', '2 Dun #16: tree'])
      expect(text).toContain(line)
  })

  it('leaves out what nobody noted', () => {
    const bare = keptPage(
      { ...along, taps: [], booked: [], outing: outing('b', '2026-05-20', [], 0) },
      [],
      UNITS,
    )
    expect(bare.parts.map(({ lines }) => lines.length).every((n) => n > 0)).toBe(true)
    expect(keptMarkdown(bare)).not.toContain('Lost')
  })
})
