// @vitest-environment jsdom
import { act, fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { wording } from '../../../core/index.ts'
import { asked } from '../../testing/asked.ts'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { write } from '../../testing/write.ts'
import { store } from '../../wire/store.ts'
import { RULE_NAMES } from '../../words/rules.ts'
import Waters from './Waters.tsx'

onTheDemo()

const waters = async () => (await asked.waters()).waters
const waterNow = async (name: string) => (await waters()).find(({ water }) => water.name === name)!
const undoLast = async () => write('undo', { actionId: (await asked.actions()).actions[0]!.actionId })

/** One water with its reaches, and its details open where they are wanted. */
async function waterAt(name: string, isOpen = false) {
  const { id } = await waterNow(name)
  show(<Waters />, { at: `/?water=${id}` })
  await until(() => screen.queryByRole('heading', { level: 2 }))
  if (isOpen) act(() => fireEvent.click(screen.getByRole('button', { name: 'Change' })))
}
const field = (label: string | RegExp) => screen.getByLabelText<HTMLInputElement>(label)
const type = (label: string | RegExp, text: string) => fireEvent.change(field(label), { target: { value: text } }) // prettier-ignore
const leave = (label: string | RegExp) => fireEvent.blur(field(label))
const isWrong = (label: string | RegExp) => field(label).getAttribute('aria-invalid') === 'true'
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name })
const press = (name: string | RegExp) => act(() => fireEvent.click(button(name)))

describe('a reach in its row', () => {
  it('has its depth and speed changed where they stand, in any notation, once they are left', async () => {
    await waterAt('River Harnsel')
    const reach = async () => (await waterNow('River Harnsel')).reaches.find((one) => one.reach.name === 'Mill Reach')!.reach // prettier-ignore
    const before = await reach()
    type('Usual depth of Mill Reach', '82 cm')
    expect((await reach()).typicalDepthMm).toBe(before.typicalDepthMm)
    leave('Usual depth of Mill Reach')
    await until(async () => (await reach()).typicalDepthMm === 820)
    await until(() => /82|0\.8/.test(field('Usual depth of Mill Reach').value))
    type('Surface speed of Mill Reach', '0,75')
    fireEvent.keyDown(field('Surface speed of Mill Reach'), { key: 'Enter' })
    await until(async () => (await reach()).surfaceSpeedMmPerS === 750)
    expect(await reach()).toEqual({ ...before, typicalDepthMm: 820, surfaceSpeedMmPerS: 750 })
    await undoLast()
    await until(() => !field('Surface speed of Mill Reach').value.startsWith('0.75'))
  })

  it.each([
    ['Usual depth of Mill Reach', 'deep'],
    ['Usual depth of Mill Reach', '900'],
    ['Surface speed of Mill Reach', '-1'],
  ])('keeps what it was where %s is “%s”, and says what is wrong', async (label, text) => {
    await waterAt('River Harnsel')
    const before = await waterNow('River Harnsel')
    type(label, text)
    leave(label)
    expect(isWrong(label)).toBe(true)
    expect(field(label).value).toBe(text)
    expect(await waterNow('River Harnsel')).toEqual(before)
  })
})

describe('what is noted of a water', () => {
  it('is its name, and what an undo leaves of it is shown', async () => {
    await waterAt('Skelf Tarn', true)
    type('Name', 'Skelf Water')
    leave('Name')
    await until(async () => await waterNow('Skelf Water'))
    await until(() => screen.queryByRole('heading', { level: 2, name: /^Skelf Water/ }))
    await undoLast()
    await until(() => field('Name').value === 'Skelf Tarn')
    leave('Name')
    expect(await waterNow('Skelf Tarn')).toBeDefined()
  })

  it('is never without a name', async () => {
    await waterAt('Skelf Tarn', true)
    type('Name', '  ')
    leave('Name')
    await until(() => field('Name').value === 'Skelf Tarn')
    expect(await waterNow('Skelf Tarn')).toBeDefined()
  })

  it('is where it lies, by its degrees, a minus for south and west', async () => {
    await waterAt('Skelf Tarn', true)
    const before = (await waterNow('Skelf Tarn')).water
    type('Latitude, °', '95')
    expect(isWrong('Latitude, °')).toBe(true)
    leave('Latitude, °')
    type('Latitude, °', '-43,5')
    leave('Latitude, °')
    await until(async () => (await waterNow('Skelf Tarn')).water.latitudeDeg === -43.5)
    expect((await waterNow('Skelf Tarn')).water).toEqual({ ...before, latitudeDeg: -43.5 })
    await undoLast()
    await until(() => field('Latitude, °').value === String(before.latitudeDeg))
  })

  it('is what its rules say, each left out again where it is emptied', async () => {
    await waterAt('Lavvel Brook', true)
    const rules = async () => (await waterNow('Lavvel Brook')).water.rules
    type('Most flies', '11')
    leave('Most flies')
    expect(isWrong('Most flies')).toBe(true)
    type('Most flies', '2')
    leave('Most flies')
    await until(async () => (await rules()).maxFlies === 2)
    await until(() => field('Most flies').value === '2')
    type('Most flies', '')
    leave('Most flies')
    await until(async () => (await rules()).maxFlies === null)
    await until(() => field('Most flies').value === '')
    const barbless = screen.getByRole<HTMLInputElement>('checkbox', { name: /barbless/i })
    const was = barbless.checked
    fireEvent.click(barbless)
    await until(async () => ((await rules()).barbless === true) === !was)
  })

  it('is never no snags because the field was emptied', async () => {
    await waterAt('Lavvel Brook', true)
    const before = (await waterNow('Lavvel Brook')).water.snagginess
    expect(before).toBeGreaterThan(0)
    type(/^Snags/, '')
    leave(/^Snags/)
    expect(isWrong(/^Snags/)).toBe(true)
    expect((await waterNow('Lavvel Brook')).water.snagginess).toBe(before)
    type(/^Snags/, '0')
    leave(/^Snags/)
    await until(async () => (await waterNow('Lavvel Brook')).water.snagginess === 0)
  })

  it('stays as it was typed where the server refuses it, with the reason there and nowhere else', async () => {
    await waterAt('Lavvel Brook', true)
    const rules = async () => (await waterNow('Lavvel Brook')).water.rules
    type('Largest hook', '12')
    leave('Largest hook')
    await until(async () => (await rules()).maxHookSize === 12)
    await until(() => field('Largest hook').value === '12')
    type('Smallest hook', '10')
    leave('Smallest hook')
    await until(() => isWrong('Smallest hook'))
    expect(field('Smallest hook').value).toBe('10')
    expect((await rules()).minHookSize).not.toBe(10)
    expect(screen.getAllByText(/smallest hook/i, { selector: '.fault' })).toHaveLength(1)
    expect(store.getState().view.trouble).toBeNull()
    type('Smallest hook', '16')
    expect(isWrong('Smallest hook')).toBe(false)
    leave('Smallest hook')
    await until(async () => (await rules()).minHookSize === 16)
  })

  it('is what two changes made of it that follow each other at once', async () => {
    await waterAt('River Harnsel', true)
    const rules = async () => (await waterNow('River Harnsel')).water.rules
    const before = await rules()
    const [barbless, lead] = [RULE_NAMES.barbless, RULE_NAMES.noLead].map((name) => screen.getByRole<HTMLInputElement>('checkbox', { name })) // prettier-ignore
    const [wasBarbless, wasLead] = [barbless!.checked, lead!.checked]
    act(() => {
      fireEvent.click(barbless!)
      fireEvent.click(lead!)
    })
    type('Most flies', '2')
    leave('Most flies')
    const wanted = {
      ...before,
      barbless: wasBarbless ? null : true,
      noLead: wasLead ? null : true,
      maxFlies: 2,
    }
    await until(async () => (await rules()).maxFlies === 2)
    expect(await rules()).toEqual(wanted)
    expect(store.getState().view.trouble).toBeNull()
    const { actions } = await asked.actions()
    for (const { actionId } of actions.slice(0, 3)) await write('undo', { actionId })
    expect(await rules()).toEqual(before)
  })

  it('is the season, a month and a day each', async () => {
    await waterAt('Lavvel Brook', true)
    const water = async () => (await waterNow('Lavvel Brook')).water
    const before = await water()
    type('Open from, month-day', '4 May')
    leave('Open from, month-day')
    expect(isWrong('Open from, month-day')).toBe(true)
    type('Open from, month-day', '05-04')
    leave('Open from, month-day')
    await until(async () => (await water()).openFromMonthDay === '05-04')
    expect(await water()).toEqual({ ...before, openFromMonthDay: '05-04' })
  })

  it('is in one’s own words, kept once the field is left', async () => {
    await waterAt('Lavvel Brook', true)
    type('In your words', 'Ask at the mill first.')
    leave('In your words')
    await until(async () => (await waterNow('Lavvel Brook')).water.rulesNote === 'Ask at the mill first.')
    await undoLast()
    const { rulesNote } = (await waterNow('Lavvel Brook')).water
    await until(() => field('In your words').value === rulesNote)
  })
})

describe('one more reach', () => {
  it('has the warmth of the nearest in height, cooler the higher it lies', async () => {
    await waterAt('River Harnsel')
    press('Add a reach')
    expect(button('Add it').disabled).toBe(true)
    const form = within(screen.getByRole('form', { name: 'Add a reach' }))
    const write = (label: RegExp, text: string) => fireEvent.change(form.getByLabelText(label), { target: { value: text } }) // prettier-ignore
    const { reaches } = await waterNow('River Harnsel')
    const highest = [...reaches].sort((a, b) => b.reach.elevationM - a.reach.elevationM)[0]!.reach
    write(/^Name/, 'Source Pool')
    write(/^Usual depth/, '40 cm')
    write(/^Surface speed/, '0.5')
    write(/^Above the sea/, `${highest.elevationM + 300}`)
    press('Add it')
    const made = await until(async () =>
      (await waterNow('River Harnsel')).reaches.find(({ reach }) => reach.name === 'Source Pool'),
    )
    expect(made.reach).toMatchObject({ kind: 'reach', typicalDepthMm: 400, surfaceSpeedMmPerS: 500, elevationM: highest.elevationM + 300 }) // prettier-ignore
    const mean = (year: readonly number[]) => year.reduce((sum, tempC) => sum + tempC, 0) / 12
    expect(mean(made.reach.defaultTempC)).toBeLessThan(mean(highest.defaultTempC))
    expect(mean(made.reach.defaultTempC)).toBeGreaterThan(mean(highest.defaultTempC) - 4)
  })
})

describe('a new water', () => {
  async function form() {
    show(<Waters />)
    await until(() => screen.queryByRole('button', { name: 'New water' }))
    press('New water')
    await until(() => screen.queryByRole('form', { name: 'New water' }))
    const part = within(screen.getByRole('form', { name: 'New water' }))
    const box = (label: string | RegExp) => part.getByLabelText<HTMLInputElement>(label)
    const write = (label: string | RegExp, text: string) => fireEvent.change(box(label), { target: { value: text } }) // prettier-ignore
    return { box, write, add: () => act(() => fireEvent.click(part.getByRole('button', { name: 'Add the water' }))) } // prettier-ignore
  }

  it('begins like a region, with the depth and speed that are asked for', async () => {
    const { write, add } = await form()
    add()
    expect(screen.getByText(/^Fill in name, depth/)).toBeDefined()
    write('Name', 'Moss Burn')
    write(/^Usual depth/, '45 cm')
    write(/^Surface speed/, '0.6')
    add()
    const made = await until(async () => await waterNow('Moss Burn'))
    expect(made.reaches[0]!.reach).toMatchObject({ typicalDepthMm: 450, surfaceSpeedMmPerS: 600 })
    expect(made.reaches[0]!.reach.defaultTempC).toHaveLength(12)
  })

  it('of a name that is taken is refused at its name', async () => {
    const { box, write, add } = await form()
    write('Name', 'skelf tarn')
    write(/^Usual depth/, '2')
    write(/^Surface speed/, '0.1')
    add()
    await until(() => screen.queryByRole('alert'))
    expect((await waters()).filter(({ water }) => /skelf tarn/i.test(water.name))).toHaveLength(1)
    expect(box('Name').value).toBe('skelf tarn')
  })

  it('of a stillwater asks for no speed', async () => {
    await form()
    await choose(/Kind/, wording.waterKindName.uplandTarn)
    await until(() => screen.queryByLabelText(/^Surface speed, /) === null)
  })

  it.each([
    [/^Usual depth/, '900'],
    [/^Coldest month/, 'cold'],
    ['Longitude, °', '200'],
  ])('is not made while %s is “%s”: that field has the focus', async (label, text) => {
    const { box, write, add } = await form()
    write('Name', 'Half Water')
    write(/^Usual depth/, '45 cm')
    write(/^Surface speed/, '0.6')
    write(label, text)
    add()
    expect(document.activeElement).toBe(box(label))
    expect(await waterNow('Half Water')).toBeUndefined()
  })
})
