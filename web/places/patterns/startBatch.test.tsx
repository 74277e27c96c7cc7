// @vitest-environment jsdom
import { act, fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { PatternView, VariantLine } from '../../../contract/index.ts'
import { asked } from '../../testing/asked.ts'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { useBoxesQuery, usePatternQuery } from '../../wire/answers.ts'
import { write } from '../../testing/write.ts'
import PatternSheet from './PatternSheet.tsx'
import { StartBatch } from './StartBatch.tsx'

onTheDemo()

const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)
const type = (label: string, text: string) => fireEvent.change(field(label), { target: { value: text } })
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name })
const press = (name: string | RegExp) => act(() => fireEvent.click(button(name)))

const places = async () => (await asked.boxes()).boxes.flatMap(({ compartments }) => compartments)
const variantNow = async (pattern: string, id: string) =>
  (await asked.pattern(pattern)).variants.find((one) => one.id === id)!
const queued = async () => (await asked.bench()).queue

/** The line that puts a batch of a variant on the vise, as the sheet has it. */
async function lineOf({ name, id }: Pick<PatternView, 'name' | 'id'>, variant: Pick<VariantLine, 'id'>) {
  function Line() {
    const { data: boxes } = useBoxesQuery()
    const { data } = usePatternQuery(id)
    return (
      <StartBatch patternName={name} variant={data?.variants.find((one) => one.id === variant.id)} boxes={boxes} />
    )
  }
  const { router } = show(<Line />)
  await until(() => screen.queryAllByRole('textbox')[0])
  return router
} // prettier-ignore

/** A variant that lives in a compartment, and its pattern. */
async function housed(name = 'Third Button') {
  const pattern = await asked.pattern(name)
  return { pattern, variant: pattern.variants.find(({ homeCompartmentId }) => homeCompartmentId)! }
}

describe('a batch that is begun from the sheet', () => {
  it('waits in the queue for as many as were said, into the home of its variant', async () => {
    const { pattern, variant } = await housed()
    const before = (await queued()).map(({ batchId }) => batchId)
    await lineOf(pattern, variant)
    type('Tie', '4')
    press('Queue')
    const batch = await until(async () => (await queued()).find(({ batchId }) => !before.includes(batchId)))
    expect(batch).toMatchObject({
      planned: 4,
      done: 0,
      variantId: variant.id,
      compartmentId: variant.homeCompartmentId,
    })
  })

  it.each(['', '0', '2.5', '1000', '6 flies'])('is not begun of “%s” flies', async (text) => {
    const { pattern, variant } = await housed()
    await lineOf(pattern, variant)
    type('Tie', text)
    expect([button(/vise/).disabled, button('Queue').disabled]).toEqual([true, true])
    type('Tie', '3')
    expect([button(/vise/).disabled, button('Queue').disabled]).toEqual([false, false])
  })

  it('goes onto the vise where none is, and the bench is opened', async () => {
    const { pattern, variant } = await housed()
    const { onVise } = await asked.bench()
    if (onVise) await write('batchFinish', { batchId: onVise.batch.batchId, abandon: true, anyway: true })
    const router = await lineOf(pattern, variant)
    type('Tie', '2')
    press(/vise/)
    await until(() => router.state.location.pathname === '/bench')
    expect((await asked.bench()).onVise?.batch).toMatchObject({ planned: 2 })
  })

  it('forgets the place and the number once the sheet shows another fly', async () => {
    const { pattern, variant } = await housed()
    const other = (await housed('Damp Straw')).pattern
    const { router } = show(<PatternSheet />, { path: '/patterns/:patternId', at: `/patterns/${pattern.id}?variant=${variant.id}` }) // prettier-ignore
    await until(() => screen.queryByLabelText('Tie'))
    type('Tie', '11')
    await choose(new RegExp(`^of ${pattern.name}|of ${pattern.name}.*into$`), /Spare/)
    await act(() => router.navigate(`/patterns/${other.id}`))
    await until(() => screen.queryByRole('heading', { level: 1, name: new RegExp(other.name) }))
    await until(() => screen.queryByLabelText('Tie'))
    expect(field('Tie').value).toBe('6')
    const into = button(new RegExp(`of ${other.name}`))
    expect(into.textContent).not.toMatch(/Spare/)
  })
})

describe('the first place of a variant', () => {
  /** A variant of which there is none, without a home. */
  async function homeless() {
    const pattern = await asked.pattern('Damp Straw')
    const variant = pattern.variants[0]!
    for (const place of await places())
      for (const { variantId, count } of place.flies)
        if (variantId === variant.id && count > 0)
          await write('fliesCount', { compartmentId: place.id, variantId, counted: 0, anyway: true })
    const { version } = await variantNow(pattern.name, variant.id)
    await write('variantHome', { variantId: variant.id, version, parCount: null, homeCompartmentId: null })
    return { pattern, variant }
  }

  it('is given with how many are kept, without a batch', async () => {
    const { pattern, variant } = await homeless()
    const before = await queued()
    await lineOf(pattern, variant)
    await choose(/lies in/, /Spare/)
    type('keep', '5')
    press('Only the place')
    const spare = (await places()).find(({ label }) => label === 'Spare')!
    const housed = { parCount: 5, homeCompartmentId: spare.id }
    await until(async () => (await variantNow(pattern.name, variant.id)).parCount === 5)
    expect(await variantNow(pattern.name, variant.id)).toMatchObject(housed)
    expect(await queued()).toEqual(before)
  })

  it('is made along with a new box where none will do', async () => {
    const { pattern, variant } = await homeless()
    await lineOf(pattern, variant)
    await choose(/lies in/, 'a new box')
    press('Only the place')
    const home = await until(async () => (await variantNow(pattern.name, variant.id)).homeCompartmentId)
    const box = (await asked.boxes()).boxes.find(({ compartments }) =>
      compartments.some(({ id }) => id === home),
    )
    expect(box!.compartments).toHaveLength(1)
  })

  it.each(['', 'a few', '0.5'])('is not tied for at once while it keeps “%s”', async (text) => {
    const { pattern, variant } = await homeless()
    await lineOf(pattern, variant)
    type('keep', '4')
    expect(button('Tie 4 now').disabled).toBe(false)
    type('keep', text)
    expect(button(/^Tie/).disabled).toBe(true)
  })

  it('is not given while how many are kept is not understood: that is not none', async () => {
    const { pattern, variant } = await homeless()
    await lineOf(pattern, variant)
    type('keep', 'a few')
    expect(button('Only the place').disabled).toBe(true)
    type('keep', '')
    expect(button('Only the place').disabled).toBe(false)
  })
})

describe('what a pattern imitates', () => {
  it('is found by words, taken in and let go', async () => {
    const { pattern } = await housed()
    show(<PatternSheet />, { path: '/patterns/:patternId', at: `/patterns/${pattern.id}` })
    const search = await until(() =>
      screen.queryByRole<HTMLInputElement>('searchbox', { name: /find a food/i }),
    )
    fireEvent.change(search, { target: { value: 'stonefly' } })
    const first = await until(() => screen.queryAllByRole('button', { name: /^\+ .*stonefly/i })[0])
    const name = first.textContent!.replace('+ ', '')
    act(() => fireEvent.click(first))
    await until(() => screen.queryByRole('button', { name: `No longer for ${name}` }))
    expect(search.value).toBe('')
    press(`No longer for ${name}`)
    await until(() => screen.queryByRole('button', { name: `No longer for ${name}` }) === null)
    expect(within(document.body).queryAllByRole('button', { name: /^No longer for/ })).toHaveLength(pattern.serves.length) // prettier-ignore
  })
})
