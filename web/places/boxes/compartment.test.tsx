// @vitest-environment jsdom
import { act, fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { useBoxesQuery } from '../../wire/answers.ts'
import { asked } from '../../testing/asked.ts'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { CompartmentSheet } from './CompartmentSheet.tsx'

onTheDemo()

const placesNow = async () => (await asked.boxes()).boxes.flatMap(({ compartments }) => compartments)
type Place = Awaited<ReturnType<typeof placesNow>>[number]

/** A compartment with flies of one variant only, of which it is the home. */
async function homeOfOne(): Promise<Place> {
  const found = (await placesNow()).find(
    ({ flies }) => flies.length === 1 && flies[0]!.isHome && flies[0]!.count > 1,
  )
  if (!found) throw new Error('no compartment holds one variant only')
  return found
}
const now = async ({ id }: Place) => (await placesNow()).find((place) => place.id === id)!
const countNow = async (place: Place) => (await now(place)).flies[0]?.count

/** The sheet of a compartment as Boxes shows it. */
async function sheetOf(place: Place) {
  let closed = 0
  function Sheet() {
    const { data } = useBoxesQuery()
    const current = data?.boxes.flatMap(({ compartments }) => compartments).find(({ id }) => id === place.id)
    if (!data || !current) return null
    return <CompartmentSheet place={current} boxes={data.boxes} onClose={() => (closed += 1)} />
  }
  show(<Sheet />)
  await until(() => screen.queryByRole('heading', { level: 1 }))
  return { closed: () => closed }
}

const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)
const type = (label: string, text: string) => fireEvent.change(field(label), { target: { value: text } })
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name })
const press = (name: string | RegExp) => act(() => fireEvent.click(button(name)))

describe('the sheet of a compartment', () => {
  it('writes down what was counted, and offers nothing to write down while that is what is known', async () => {
    const place = await homeOfOne()
    const before = place.flies[0]!.count
    await sheetOf(place)
    expect(field('I count').value).toBe(String(before))
    expect(button(/^Write down/).disabled).toBe(true)
    type('I count', String(before + 2))
    press(`Write down ${before + 2}`)
    await until(async () => (await countNow(place)) === before + 2)
  })

  it('offers no count that it does not understand, nor what was read on the way to it', async () => {
    const place = await homeOfOne()
    await sheetOf(place)
    type('I count', '2.5')
    expect(button(/^Write down/).disabled).toBe(true)
    expect(button(/^Write down/).textContent).toBe('Write down')
    type('I count', '3x')
    expect(button(/^Write down/).disabled).toBe(true)
    expect(screen.getAllByText(/./, { selector: '.fault' }).length).toBeGreaterThan(0)
  })

  it('takes out what was lost, by its cause', async () => {
    const place = await homeOfOne()
    const before = place.flies[0]!.count
    await sheetOf(place)
    type('Take out', '2')
    await choose(/Lost to/, 'tree')
    await until(async () => (await countNow(place)) === before - 2)
    expect((await asked.actions()).actions[0]?.label).toMatch(/two|2/i)
  })

  it('loses nothing where how many is not understood', async () => {
    const place = await homeOfOne()
    const before = place.flies[0]!.count
    await sheetOf(place)
    type('Take out', '1')
    type('Take out', '1o')
    await choose(/Lost to/, 'tree')
    await until(() => screen.queryByText(/at least/i))
    expect(await countNow(place)).toBe(before)
  })

  it('moves some to another compartment', async () => {
    const place = await homeOfOne()
    const before = place.flies[0]!.count
    const roomIn = ({ capacity, flies }: Place) =>
      (capacity ?? Infinity) - flies.reduce((sum, { count }) => sum + count, 0)
    const target = (await placesNow()).find((one) => one.id !== place.id && roomIn(one) > 0)!
    await sheetOf(place)
    type('Take out', '1')
    await choose(/Move to/, new RegExp(`${target.label}$`))
    await until(async () => (await countNow(place)) === before - 1)
    const there = (await now(target)).flies.find(({ variantId }) => variantId === place.flies[0]!.variantId)
    expect(there?.count).toBeGreaterThan(0)
  })

  it('keeps another number of a fly once the field is left, not at each digit', async () => {
    const place = await homeOfOne()
    await sheetOf(place)
    const version = place.flies[0]!.variantVersion
    type('Keep', '1')
    type('Keep', '12')
    fireEvent.blur(field('Keep'))
    await until(async () => (await now(place)).flies[0]!.parCount === 12)
    expect((await now(place)).flies[0]!.variantVersion).toBe(version + 1)
    expect(screen.queryByText(/changed elsewhere|meantime/i)).toBeNull()
  })

  it('goes back to what is usual where nothing is kept of its own', async () => {
    const place = await homeOfOne()
    await sheetOf(place)
    type('Keep', '')
    fireEvent.blur(field('Keep'))
    await until(async () => (await now(place)).flies[0]!.parCount === null)
    const usual = String((await now(place)).flies[0]!.par)
    await until(() => field('Keep').placeholder === usual)
  })

  it('takes in flies that were not here', async () => {
    const place = await homeOfOne()
    await sheetOf(place)
    expect(button(/^I count/).disabled).toBe(true)
    const other = (await placesNow()).flatMap(({ flies }) => flies).find(({ variantId }) => variantId !== place.flies[0]!.variantId)! // prettier-ignore
    await choose(/Another fly lies here/, `${other.patternName} ${other.label}`)
    type('How many', '4x')
    expect(button(/^I count/).disabled).toBe(true)
    type('How many', '4')
    press('I count 4')
    await until(async () => (await now(place)).flies.some(({ variantId, count }) => variantId === other.variantId && count === 4)) // prettier-ignore
  })

  it('goes back to all boxes', async () => {
    const place = await homeOfOne()
    const { closed } = await sheetOf(place)
    expect(within(screen.getByRole('heading', { level: 1 })).getByText(/of \d+|flies/)).toBeDefined()
    press('All boxes')
    expect(closed()).toBe(1)
  })
})
