// @vitest-environment jsdom
import { act, fireEvent, screen, within } from '@testing-library/react'
import { useState } from 'react'
import { afterEach, describe, expect, it } from 'vitest'
import { makePlaceActions, PlaceActionsContext } from '../../ui/shortcuts.ts'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { chooseMoment } from '../../wire/state.ts'
import { store } from '../../wire/store.ts'
import Larder from './Larder.tsx'

onTheDemo()
afterEach(() => {
  store.dispatch(chooseMoment(null))
})

async function larder(search = '') {
  const actions = makePlaceActions()
  function Around() {
    const [held] = useState(actions)
    return (
      <PlaceActionsContext value={held}>
        <Larder />
      </PlaceActionsContext>
    )
  }
  const { router } = show(<Around />, { path: '/larder', at: `/larder${search}` })
  await until(() => screen.queryByRole('heading', { level: 1 }))
  const press = (wanted: string) =>
    act(() =>
      actions
        .now()
        .find(({ key }) => key === wanted)
        ?.go(),
    )
  return { press, at: () => new URLSearchParams(router.state.location.search) }
}
const table = () => screen.queryByRole('table', { name: 'Foods at this moment' })
const names = () => within(table()!).getAllByRole('button').map((food) => food.textContent) // prettier-ignore

describe('the larder now', () => {
  it('finds what is sought, likely or not', async () => {
    await larder()
    await until(() => table() && names().length > 3)
    fireEvent.change(screen.getByRole('searchbox'), { target: { value: ' Stonefly ' } })
    await until(() => names().length < 20)
    expect(names().length).toBeGreaterThan(0)
    for (const name of names()) expect(name).toMatch(/stonefly/i)
  })

  it('says how many flies are on hand for a food, in the list and on its sheet', async () => {
    const { stages } = await asked.larder()
    const { onHand } = await asked.larderStock()
    const most = stages
      .filter(({ servedBy }) => servedBy.length > 0)
      .sort((a, b) => (onHand[b.id] ?? 0) - (onHand[a.id] ?? 0))[0]!
    const count = String(onHand[most.id])
    expect(Number(count)).toBeGreaterThan(0)
    await larder()
    await until(() => table() && names().length > 3)
    const name = `${most.foodName}, ${most.stageName}`
    fireEvent.change(screen.getByRole('searchbox'), { target: { value: name } })
    await until(() => names()[0] === name)
    const row = within(table()!).getByRole('button', { name }).closest('tr')!
    await until(() => row.lastElementChild?.textContent === count)
    // where there is no room for columns the cell says itself what it is
    expect((row.lastElementChild as HTMLElement).dataset.label).toBe('flies')
    fireEvent.click(within(row).getByRole('button'))
    await until(() => screen.queryByText((text) => text.endsWith(`: ${count} on hand.`), { selector: 'p' }))
  })

  it('opens a food, its form, and a new one, each at an address of its own', async () => {
    const { at, press } = await larder()
    await until(() => table() && names().length > 3)
    fireEvent.click(within(table()!).getAllByRole('button')[0]!)
    await until(() => at().get('stage'))
    expect(table()).toBeNull()
    await until(() => {
      press('n')
      return at().get('edit') === 'new'
    })
    await until(() => screen.queryByRole('heading', { level: 1, name: 'New food' }))
  })
})

describe('the form of a food', () => {
  const save = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save' })

  it('is saved once it was changed, and goes back to what shipped', async () => {
    const { at } = await larder()
    await until(() => table() && names().length > 3)
    fireEvent.click(within(table()!).getAllByRole('button')[0]!)
    const stage = await until(() => at().get('stage'))
    fireEvent.click(await until(() => screen.queryByRole('button', { name: 'Change' })))
    await until(() => screen.queryByLabelText('Stage'))
    expect(save().disabled).toBe(true)
    fireEvent.change(screen.getByLabelText('Stage'), { target: { value: 'winged' } })
    expect(save().disabled).toBe(false)
    fireEvent.click(save())
    await until(() => at().get('edit') === null && at().get('stage') === stage)
    await until(() => screen.queryByText(/winged/))
    fireEvent.click(await until(() => screen.queryByRole('button', { name: 'Change' })))
    fireEvent.click(await until(() => screen.queryByRole('button', { name: 'Go back to what shipped' })))
    await until(() => at().get('edit') === null)
    await until(() => screen.queryAllByText(/winged/).length === 0)
  })

  it('says what is wrong with it by the names of its fields, and stays as it was', async () => {
    await larder()
    await until(() => table() && names().length > 3)
    fireEvent.click(within(table()!).getAllByRole('button')[0]!)
    fireEvent.click(await until(() => screen.queryByRole('button', { name: 'Change' })))
    const food = await until(() => screen.queryByLabelText('Food'))
    fireEvent.change(food, { target: { value: '' } })
    fireEvent.click(save())
    const refused = await until(() => screen.queryByRole('alert'))
    expect(
      within(refused)
        .getAllByRole('listitem')
        .map(({ textContent }) => textContent),
    ).toEqual([expect.stringMatching(/^name: ./)])
  })

  it('changes how much of it there is, and what fish are on follows', async () => {
    await larder()
    await until(() => table() && names().length > 3)
    const first = within(table()!).getAllByRole('button')[0]!
    const name = first.textContent
    fireEvent.click(first)
    fireEvent.click(await until(() => screen.queryByRole('button', { name: 'Change' })))
    for (const label of ['on a poor day', 'usually', 'at its peak'])
      fireEvent.change(await until(() => screen.queryByLabelText(label)), { target: { value: '0.001' } })
    fireEvent.click(save())
    fireEvent.click(await until(() => screen.queryByRole('button', { name: 'All foods' })))
    await until(() => table() && names()[0] !== name)
  })
})

describe('a food of one’s own', () => {
  it('is made like another in one form: its stages, its size, its broods; and its first stage opens', async () => {
    const { at } = await larder('?edit=new')
    fireEvent.change(await until(() => screen.queryByLabelText('Food')), { target: { value: 'Moss Hopper' } })
    fireEvent.click(screen.getByRole('button', { name: 'Make it' }))
    await until(() => at().get('stage'))
    await until(() => screen.queryByRole('heading', { level: 1, name: /^Moss Hopper, / }))
  })
})
