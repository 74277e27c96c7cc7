// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { NOTHING_MEASURED, USUAL_TIPPET } from '../../../../core/index.ts'
import type { Material } from '../../../../core/index.ts'
import { draftOf } from '../../../recipe/draft.ts'
import type { Draft } from '../../../recipe/draft.ts'
import { useMaterialBook } from '../../../recipe/useMaterialBook.ts'
import type { MaterialBook } from '../../../recipe/useMaterialBook.ts'
import { asked } from '../../../testing/asked.ts'
import { onTheDemo, until, callHook } from '../../../testing/onThePage.tsx'
import { useFinder } from './useFinder.ts'
import { useOffers } from './useOffers.ts'
import type { OfferChoice } from './useOffers.ts'
import { withFound } from './withFound.ts'

onTheDemo()

const NONE: readonly never[] = []
const choice = (change: Partial<OfferChoice> = {}): OfferChoice => ({
  noLead: false, noTungsten: false, onlyStores: false, otherSizes: false, otherWires: false, bodies: false, ...change,
}) // prettier-ignore

async function begin(name: string) {
  const draft: Draft = draftOf(await asked.pattern(name))
  const { result } = callHook(() => useMaterialBook(NONE), undefined)
  const book = await until(() => result.current)
  const chosen = draft.variants[0]!
  return { draft, book, chosen, hook: book.materials.get(chosen.hookMaterialId)! }
}
async function offersFor(book: MaterialBook, hook: Material, chosen: OfferChoice) {
  const { result } = callHook(() => useOffers(book, hook, chosen), undefined)
  return until(() => result.current)
}
const names = (goods: readonly (Material | null)[]) => [
  ...new Set(goods.flatMap((one) => (one ? [one.family.name] : []))),
]

describe('useOffers', () => {
  it('has slotted beads for a jig and drilled ones elsewhere, of tungsten and brass, and wires that weigh', async () => {
    const jig = await begin('Third Button')
    const jigOffers = (await offersFor(jig.book, jig.hook, choice())).offers
    expect(jigOffers.beads[0]).toBeNull()
    expect(jigOffers.beads.slice(1).every((bead) => bead?.family.boring === 'slotted')).toBe(true)
    expect(names(jigOffers.wires).some((name) => /lead/i.test(name))).toBe(true)
    expect(names(jigOffers.wires).some((name) => /rib|steel/i.test(name))).toBe(false)
    expect(jigOffers.bulks).toEqual([])
    expect(jigOffers.hooks).toEqual([jig.hook])
    const straight = await begin('Barley Sugar')
    const beads = (await offersFor(straight.book, straight.hook, choice())).offers.beads.slice(1)
    expect(beads.length).toBeGreaterThan(0)
    expect(beads.every((bead) => bead?.family.boring === 'drilled')).toBe(true)
    expect(names(beads).every((name) => /tungsten|brass/i.test(name))).toBe(true)
  })

  it('leaves out lead and tungsten where they are not wanted', async () => {
    const { book, hook } = await begin('Third Button')
    const { offers } = await offersFor(book, hook, choice({ noLead: true, noTungsten: true }))
    expect(names(offers.beads).some((name) => /tungsten/i.test(name))).toBe(false)
    expect(names(offers.beads).length).toBeGreaterThan(0)
    const wires = names(offers.wires)
    expect(wires.length).toBeGreaterThan(0)
    expect(wires.filter((name) => /\blead\b/i.test(name) && !/lead-free/i.test(name))).toEqual([])
  })

  it('has neighbouring sizes, other wires and other bodies where they may be', async () => {
    const { book, hook } = await begin('Third Button')
    const sizes = (await offersFor(book, hook, choice({ otherSizes: true }))).offers.hooks.map(({ sizeKey }) => Number(sizeKey)) // prettier-ignore
    expect(sizes).toContain(16)
    expect(Math.max(...sizes.map((size) => Math.abs(size - 16)))).toBe(2)
    const wider = (await offersFor(book, hook, choice({ otherWires: true, bodies: true }))).offers
    expect(wider.hooks.every(({ sizeKey }) => sizeKey === hook.sizeKey)).toBe(true)
    expect(wider.bulks).toEqual([0.1, 0.2, 0.35, 0.55])
  })

  it('takes drawers that are there, mints those that are not, and offers the stores alone where asked', async () => {
    const { book, hook } = await begin('Third Button')
    const { offers, drawers } = await offersFor(book, hook, choice())
    const beads = offers.beads.flatMap((bead) => bead ?? [])
    for (const bead of beads) expect(book.materials.has(bead.id)).toBe(!drawers.has(bead.id))
    for (const id of offers.inStores) expect(book.onHandOf(id)).toBeGreaterThan(0)
    const stores = (await offersFor(book, hook, choice({ onlyStores: true }))).offers
    const kept = stores.beads.flatMap((bead) => bead ?? [])
    expect(kept.length).toBeLessThan(beads.length)
    expect(kept.every(({ id }) => stores.inStores.has(id))).toBe(true)
    expect(stores.hooks).toContain(hook)
  })

  it('knows what goods cost where a price is noted', async () => {
    const { book, hook } = await begin('Third Button')
    const { costs } = (await offersFor(book, hook, choice())).offers
    expect(costs.size).toBeGreaterThan(0)
    for (const cost of costs.values()) expect(cost).toBeGreaterThan(0)
  })
})

describe('a search', () => {
  it('finds weightings that do what was asked, and makes one of them a variant', async () => {
    const { draft, book, chosen, hook } = await begin('Third Button')
    const searchable = await offersFor(book, hook, choice({ noLead: true }))
    const { result } = callHook(() => useFinder(), undefined)
    await act(() =>
      result.current.start({
        dressing: { components: draft.components, steps: draft.steps },
        variant: chosen,
        materials: book.materials,
        offers: searchable.offers,
        wanted: { kind: 'depthByTime', depthMm: 600, withinS: 2 },
        conditions: { waterTempC: 10, tippet: USUAL_TIPPET, wet: 'fresh', filmTreatment: 'none' },
        measured: NOTHING_MEASURED,
        mostSplashMicroJ: Infinity,
      }),
    )
    const { busy, few, looked } = result.current.finding
    expect(busy).toBe(false)
    expect(looked).toBeGreaterThan(50)
    expect(few!.length).toBeGreaterThan(0)
    const finalist = few![0]!
    const { edit, id } = withFound(draft, chosen, finalist, searchable, book)
    const made = edit.variants!.find((variant) => variant.id === id)!
    expect(made.hookMaterialId).toBe(finalist.weighting.hook.id)
    expect(edit.variants).toHaveLength(draft.variants.length + 1)
    expect(edit.variants!.filter(({ label }) => label === made.label)).toHaveLength(1)
    // where wire joins the dressing, the other variants go without
    const joined = edit.components!.filter(({ key }) => !draft.components.some((own) => own.key === key))
    for (const { key } of joined)
      for (const other of edit.variants!.slice(0, -1))
        expect(other.swaps).toContainEqual({ componentKey: key, omit: true })
  })
})
