// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../../testing/asked.ts'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { store } from '../../wire/store.ts'
import Settings from './Settings.tsx'

onTheDemo()

const kept = async () => (await asked.frame()).settings
async function settings() {
  show(<Settings />)
  await until(() => screen.queryByRole('heading', { level: 1 }))
}

describe('settings', () => {
  it('keep each unit as it is chosen, and the others as they were', async () => {
    await settings()
    const before = await kept()
    await choose(/Depth/, 'ft')
    await choose(/Weight/, 'gr')
    await until(async () => (await kept()).units.mass === 'gr')
    expect((await kept()).units).toEqual({ ...before.units, depth: 'ft', mass: 'gr' })
  })

  it('keep how many of each fly are kept, from 1 to 99', async () => {
    await settings()
    const field = screen.getByLabelText('Keep of each fly')
    fireEvent.change(field, { target: { value: '100' } })
    expect(screen.getByText('From 1 to 99.')).toBeDefined()
    fireEvent.change(field, { target: { value: '2.5' } })
    expect(screen.getByText('Whole ones only.')).toBeDefined()
    fireEvent.change(field, { target: { value: '1' } })
    fireEvent.change(field, { target: { value: '14' } })
    const [last] = (await asked.actions()).actions
    fireEvent.blur(field)
    await until(async () => (await kept()).parCount === 14)
    // one change, not one a digit
    expect((await asked.actions()).actions[1]?.actionId).toBe(last!.actionId)
  })

  it('take three letters for money, and go back to what it was where they are none', async () => {
    await settings()
    const field = screen.getByLabelText<HTMLInputElement>('Money')
    const was = field.value
    fireEvent.change(field, { target: { value: 'eu' } })
    expect(screen.getByText('Three letters, as EUR.')).toBeDefined()
    fireEvent.blur(field)
    expect(field.value).toBe(was)
    fireEvent.change(field, { target: { value: 'SEK' } })
    fireEvent.blur(field)
    await until(async () => (await kept()).currency === 'SEK')
  })

  it('turn single keys off and show which keys there are', async () => {
    await settings()
    const box = screen.getByRole<HTMLInputElement>('checkbox', { name: 'single keys' })
    fireEvent.click(box)
    await until(async () => !(await kept()).singleKeys)
    await until(() => !box.checked)
    fireEvent.click(screen.getByRole('button', { name: 'Show the keys' }))
    expect(store.getState().view.showKeys).toBe(true)
  })

  it('say what a fly is judged by and how hook sizes are counted', async () => {
    await settings()
    await choose(/What matters most/, 'something bright that is seen')
    await choose(/2X long/, 'two even sizes larger')
    await until(async () => (await kept()).hookSteps === 'evenSizes')
    expect((await kept()).school).toBe('bright')
    expect(within(document.body).getByText(/Build/)).toBeDefined()
  })

  it('keep a time zone that is one, and refuse any other at its field', async () => {
    await settings()
    const field = screen.getByLabelText('Time zone')
    fireEvent.change(field, { target: { value: 'CEST-2' } })
    expect(screen.getByText(/No such time zone/)).toBeDefined()
    fireEvent.blur(field)
    expect((await kept()).timeZone).toBe('Europe/London')
    fireEvent.change(field, { target: { value: 'Europe/Vienna' } })
    fireEvent.blur(field)
    await until(async () => (await kept()).timeZone === 'Europe/Vienna')
  })

  it('name a second folder for copies only where there is one', async () => {
    await settings()
    const field = await until(() => screen.queryByLabelText('A second folder for copies'))
    const save = () => fireEvent.submit(screen.getByRole('form', { name: 'Where copies go as well' }))
    fireEvent.change(field, { target: { value: 'backups' } })
    save()
    await until(() => screen.queryAllByText('Write the whole path, from the root of the disk.').length > 0)
    fireEvent.change(field, { target: { value: '/nowhere/at/all' } })
    save()
    await until(() => screen.queryAllByText('There is no such folder.').length > 0)
    expect((await kept()).backupFolder).toBeNull()
  })
})

describe('copies of the data', () => {
  it('are made, looked at and put back, and what came since is gone from the page', async () => {
    await settings()
    fireEvent.click(await until(() => screen.queryByRole('button', { name: 'Copy now' })))
    await until(() => screen.queryByRole('row', { name: /asked for/ }))
    const before = await kept()
    const keep = screen.getByLabelText('Keep of each fly')
    fireEvent.change(keep, { target: { value: String(before.parCount + 3) } })
    fireEvent.blur(keep)
    await until(async () => (await kept()).parCount === before.parCount + 3)
    const mine = await until(() => screen.queryByRole('row', { name: /asked for/ }))
    fireEvent.click(within(mine).getByRole('button', { name: 'Look what differs' }))
    const differs = await until(() => screen.queryByRole('region', { name: 'Look what differs' }))
    await until(() => within(differs).queryByText(/One thing done since/))
    expect(within(differs).getByRole('row', { name: /things done/ })).toBeDefined()
    fireEvent.click(within(differs).getByRole('button', { name: 'Put it back' }))
    await until(() => screen.queryByText(/^Put back from/))
    expect((await kept()).parCount).toBe(before.parCount)
    expect(screen.getByText('before a copy was put back')).toBeDefined()
  })
})
