// @vitest-environment jsdom
import { act, fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { MaterialLine, PurchaseView } from '../../../contract/index.ts'
import { drawerTitle, stateOf } from '../../recipe/drawerState.ts'
import { PATHS } from '../../../contract/paths.ts'
import { store } from '../../wire/store.ts'
import { asked } from '../../testing/asked.ts'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { write } from '../../testing/write.ts'
import { newId } from '../../wire/useCommand.ts'
import Stores from './Stores.tsx'

onTheDemo()

type PurchaseId = PurchaseView['purchaseId']

const drawers = async () => (await asked.stores()).materials
const drawerNow = async ({ id }: Pick<MaterialLine, 'id'>) => (await drawers()).find((one) => one.id === id)!
async function drawerOf(isOne: (line: MaterialLine) => boolean): Promise<MaterialLine> {
  const found = (await drawers()).find(isOne)
  if (!found) throw new Error('there is no such drawer')
  return found
}
const counted = (line: MaterialLine) => line.stockUnit === 'count' && (line.onHand ?? 0) > 0

/** Stores with a drawer open, or as a list. */
async function storesAt(line?: Pick<MaterialLine, 'id'>) {
  const shown = show(<Stores />, { at: line ? `/?material=${line.id}` : '/' })
  await until(() => screen.queryByRole('heading', { level: 1 }))
  return shown
}
const heading = () => screen.getByRole('heading', { level: 1 }).textContent
const field = (label: string | RegExp) => screen.getByLabelText<HTMLInputElement>(label)
const type = (label: string | RegExp, text: string) => fireEvent.change(field(label), { target: { value: text } }) // prettier-ignore
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name })
const press = (name: string | RegExp) => act(() => fireEvent.click(button(name)))

describe('the list of drawers', () => {
  it('says how many are low, by the same measure as each drawer', async () => {
    await storesAt()
    const low = (await drawers()).filter((line) => ['low', 'out'].includes(stateOf(line)))
    expect(low.length).toBeGreaterThan(0)
    expect(screen.getByText(new RegExp(`^${low.length} low: `)).textContent).toContain(drawerTitle(low[0]!))
  })

  it('finds by name, and says where nothing answers', async () => {
    await storesAt()
    type('Find a material', 'no such thing at all')
    await until(() => screen.queryByText('No drawer answers to that.'))
    type('Find a material', 'dubbing')
    await until(() => screen.queryByText('No drawer answers to that.') === null)
  })
})

describe('a drawer', () => {
  it('is counted, bought for and given away of, in the unit people say', async () => {
    const line = await drawerOf(counted)
    await storesAt(line)
    expect(heading()).toBe(drawerTitle(line))
    expect(button(/^I count/).disabled).toBe(true)
    type('How much, pieces', '40')
    press('I count 40')
    await until(async () => (await drawerNow(line)).onHand === 4000)
    await until(() => field('How much, pieces').value === '')
    type('How much, pieces', '12')
    press('Bought')
    await until(async () => (await drawerNow(line)).onHand === 5200)
    await until(() => field('How much, pieces').value === '')
    type('How much, pieces', '2,5')
    press('Gave away')
    await until(async () => (await drawerNow(line)).onHand === 4950)
  })

  it('is counted empty, but nothing is bought or given of nought', async () => {
    const line = await drawerOf(counted)
    await storesAt(line)
    type('How much, pieces', '0')
    expect([button('Bought').disabled, button('Gave away').disabled]).toEqual([true, true])
    press('I count 0')
    await until(async () => (await drawerNow(line)).onHand === 0)
  })

  it.each(['-3', 'a few', '2000000'])('is not counted “%s”', async (text) => {
    const line = await drawerOf(counted)
    await storesAt(line)
    type('How much, pieces', text)
    expect(field('How much, pieces').getAttribute('aria-invalid')).toBe('true')
    expect(button(/^I count/).disabled).toBe(true)
  })

  it('of which more went than was counted asks for a count: it is no such number of pieces', async () => {
    const line = await drawerOf(counted)
    await storesAt(line)
    type('How much, pieces', '9000')
    press('Gave away')
    await until(() => screen.queryByText(/More went out of it than was counted/))
    expect((await drawerNow(line)).onHand).toBe((line.onHand ?? 0) - 900_000)
    await until(() => field('How much, pieces').value === '')
    type('How much, pieces', '30')
    press('I count 30')
    await until(() => screen.queryByText(/^30 .*on hand\./))
  })

  it('keeps how it is bought, what is left empty as not known', async () => {
    const line = await drawerOf(counted)
    await storesAt(line)
    type('Keep at least, pieces', '25')
    type('In a pack, pieces', '50')
    type(/^A pack costs/, '7.95')
    type('Comes within, days', '4')
    type('From', ' Our own post ')
    press('Keep this')
    await until(async () => (await drawerNow(line)).supplier === 'Our own post')
    const kept = { minimumAmount: 2500, packAmount: 5000, priceMinor: 795, leadTimeDays: 4 }
    expect(await drawerNow(line)).toMatchObject(kept)
    await until(() => field('From').value === 'Our own post')
    expect(field(/^A pack costs/).value).toBe('7.95')
    type('Keep at least, pieces', '')
    type('Comes within, days', '')
    press('Keep this')
    await until(async () => (await drawerNow(line)).minimumAmount === null)
    expect(await drawerNow(line)).toMatchObject({ ...kept, minimumAmount: null, leadTimeDays: null })
  })

  it.each([
    ['Keep at least, pieces', 'some'],
    ['In a pack, pieces', '-1'],
    ['Comes within, days', '2.5'],
    [/^A pack costs/, '9000000'],
  ])('keeps nothing while %s is “%s”', async (label, text) => {
    await storesAt(await drawerOf(counted))
    type(label, text)
    expect(field(label).getAttribute('aria-invalid')).toBe('true')
    expect(button('Keep this').disabled).toBe(true)
  })

  it('keeps its note once the field is left, and shows what an undo of it leaves', async () => {
    const line = await drawerOf(counted)
    await storesAt(line)
    const note = field('Note')
    type('Note', 'The dull ones.')
    expect((await drawerNow(line)).note).toBe(line.note)
    fireEvent.blur(note)
    await until(async () => (await drawerNow(line)).note === 'The dull ones.')
    await until(() => note.value === 'The dull ones.')
    const [done] = (await asked.actions()).actions
    await write('undo', { actionId: done!.actionId })
    await until(() => note.value === line.note)
  })

  it('loses nothing of what was typed where it is refused, as changed elsewhere', async () => {
    const line = await drawerOf(counted)
    await storesAt(line)
    const { minimumAmount, packAmount, priceMinor, leadTimeDays, supplier, barb, version } =
      await drawerNow(line)
    // from another tab: this page does not know of it
    const body = { materialId: line.id, version, minimumAmount, packAmount, priceMinor, leadTimeDays, supplier, barb, note: 'Elsewhere.' } // prettier-ignore
    const headers = { 'content-type': 'application/json' }
    const command = JSON.stringify({ id: newId(), kind: 'materialSave', body })
    expect((await fetch(PATHS.command, { method: 'POST', headers, body: command })).ok).toBe(true)
    type('Note', 'Long thought about.')
    fireEvent.blur(field('Note'))
    await until(() => field('Note').getAttribute('aria-invalid') === 'true')
    expect(field('Note').value).toBe('Long thought about.')
    expect(store.getState().view.trouble).toBeNull()
    type('From', 'Another post')
    press('Keep this')
    await until(() => store.getState().view.trouble)
    expect(field('From').value).toBe('Another post')
    expect((await drawerNow(line)).note).toBe('Elsewhere.')
  })

  it('says nothing of the drawer that was open before it', async () => {
    const [first, second] = (await drawers()).filter(counted)
    const { router } = await storesAt(first)
    type('Note', 'Meant for the first.')
    type('Keep at least, pieces', '77')
    type('How much, pieces', '5')
    await act(() => router.navigate(`/?material=${second!.id}`))
    await until(() => heading() === drawerTitle(second!))
    expect(field('Note').value).toBe(second!.note)
    expect(field('How much, pieces').value).toBe('')
    expect(field('Keep at least, pieces').value).not.toBe('77')
    fireEvent.blur(field('Note'))
    expect(await drawerNow(second!)).toMatchObject({ note: second!.note, version: second!.version })
  })

  it('of hooks says how they are barbed', async () => {
    const line = await drawerOf(({ kind }) => kind === 'hook')
    await storesAt(line)
    await choose(/Its barb/, 'no barb')
    await until(async () => (await drawerNow(line)).barb === 'barbless')
    await choose(/Its barb/, 'not said')
    await until(async () => (await drawerNow(line)).barb === null)
  })

  it('goes back to all drawers', async () => {
    const { router } = await storesAt(await drawerOf(counted))
    press('All drawers')
    await until(() => heading() === 'Stores')
    expect(router.state.location.search).toBe('')
  })
})

describe('a hook that is measured', () => {
  const measures = ({ overrides }: MaterialLine) =>
    Object.entries(overrides).map(([name, property]) => [name, property?.value])
  const unmeasured = (line: MaterialLine) => line.kind === 'hook' && measures(line).length === 0

  it('keeps what was touched, and what was not stays as its size has it', async () => {
    const line = await drawerOf(unmeasured)
    await storesAt(line)
    const part = within(await until(() => screen.queryByRole('region', { name: 'Measured hook' })))
    const shank = part.getByLabelText<HTMLInputElement>('Shank, mm')
    const usual = Number(shank.value)
    expect(part.getByText(/By its size: makers differ/)).toBeDefined()
    expect(part.getByRole<HTMLButtonElement>('button', { name: 'Keep these measures' }).disabled).toBe(true)
    act(() => fireEvent.click(part.getByRole('button', { name: 'Shank: more' })))
    act(() => fireEvent.click(part.getByRole('button', { name: 'Shank: more' })))
    act(() => fireEvent.click(part.getByRole('button', { name: 'Shank: less' })))
    expect(Number(shank.value)).toBeCloseTo(usual + 0.1, 6)
    act(() => fireEvent.click(part.getByRole('button', { name: 'Keep these measures' })))
    await until(async () => measures(await drawerNow(line)).length > 0)
    const [[name, value]] = measures(await drawerNow(line)) as [[string, number]]
    expect([name, measures(await drawerNow(line)).length]).toEqual(['shankMm', 1])
    expect(value).toBeCloseTo(usual + 0.1, 6)
    await until(() => screen.queryByText(/Measured by you/))
    press('Take them back')
    await until(async () => measures(await drawerNow(line)).length === 0)
  })

  it('takes no measure that no hook has', async () => {
    await storesAt(await drawerOf(unmeasured))
    const part = within(await until(() => screen.queryByRole('region', { name: 'Measured hook' })))
    fireEvent.change(part.getByLabelText('Gape, mm'), { target: { value: '900' } })
    expect(part.getByRole<HTMLButtonElement>('button', { name: 'Keep these measures' }).disabled).toBe(true)
  })
})

describe('a line', () => {
  it('goes by what its spool says until that is taken back', async () => {
    const line = await drawerOf(({ kind }) => kind === 'line')
    await storesAt(line)
    const part = within(await until(() => screen.queryByRole('region', { name: 'What its spool says' })))
    expect(part.getByText(/makers differ/)).toBeDefined()
    expect(part.getByRole<HTMLButtonElement>('button', { name: 'Keep what it says' }).disabled).toBe(true)
    fireEvent.change(part.getByLabelText(/^Sinks at/), { target: { value: '5' } })
    expect(part.getByRole('status').textContent).toMatch(/sinks/)
    act(() => fireEvent.click(part.getByRole('button', { name: 'Keep what it says' })))
    await until(async () => (await drawerNow(line)).overrides.densityMgPerMm3 !== undefined)
    await until(() => screen.queryByText('By its spool.'))
    press('Take it back')
    await until(async () => (await drawerNow(line)).overrides.densityMgPerMm3 === undefined)
  })
})

describe('new material', () => {
  it('needs a name and a colour, and opens as a drawer', async () => {
    const { router } = await storesAt()
    press('New material')
    const put = await until(() => screen.queryByRole<HTMLButtonElement>('button', { name: 'Put it among your materials' })) // prettier-ignore
    expect(put.disabled).toBe(true)
    await choose(/^Kind|Kind$/, 'dubbing')
    type('Name', 'Shed dog')
    expect(put.disabled).toBe(true)
    type('Colour', 'wet slate')
    press('Put it among your materials')
    await until(() => router.state.location.search.startsWith('?material='))
    const made = await drawerOf(({ name }) => name === 'Shed dog')
    expect(made).toMatchObject({ kind: 'dubbing', colourName: 'wet slate', onHand: null })
    await until(() => heading() === drawerTitle(made))
    expect(screen.getByText(/^Not counted yet/)).toBeDefined()
  })

  it('of a name that is there is refused, and what was typed stays', async () => {
    await storesAt()
    press('New material')
    await until(() => screen.queryByRole('button', { name: 'Put it among your materials' }))
    type('Name', 'Shed dog')
    type('Colour', 'wet slate')
    press('Put it among your materials')
    await until(() => screen.queryByRole('alert'))
    expect(document.activeElement).toBe(field('Name'))
    expect(field('Name').value).toBe('Shed dog')
    press('Leave it')
    expect(screen.queryByLabelText('Name')).toBeNull()
  })
})

describe('what was ordered', () => {
  it('comes in packs, as many as are said, and never more than were ordered', async () => {
    const line = await drawerOf((one) => counted(one) && one.packAmount !== null)
    const purchaseId = newId<PurchaseId>()
    await write('purchaseOrder', {
      purchaseId,
      supplier: 'Our own post',
      lines: [{ lineId: newId(), materialId: line.id, packs: 3, packAmount: line.packAmount ?? 100 }],
    })
    await storesAt()
    const title = drawerTitle(line)
    const packs = await until(() => screen.queryByLabelText<HTMLInputElement>(`Packs of ${title} that came`))
    expect(packs.value).toBe('3')
    const came = button(`Packs of ${title} came`)
    fireEvent.change(packs, { target: { value: '1' } })
    // on the way to a number that is too many, one pack would have done
    fireEvent.change(packs, { target: { value: '12' } })
    expect(came.disabled).toBe(true)
    fireEvent.change(packs, { target: { value: '1' } })
    act(() => fireEvent.click(came))
    const onHand = (line.onHand ?? 0) + (line.packAmount ?? 0)
    await until(async () => (await drawerNow(line)).onHand === onHand)
    await until(() => field(`Packs of ${title} that came`).value === '2')
    press('All of it came')
    await until(async () => (await asked.stores()).purchases.every((one) => one.purchaseId !== purchaseId))
    expect((await drawerNow(line)).onHand).toBe(onHand + 2 * (line.packAmount ?? 0))
  })
})
