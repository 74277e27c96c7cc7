// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { api } from '../../wire/api.ts'
import { askOnce } from '../../wire/askOnce.ts'
import { store } from '../../wire/store.ts'
import { NewWater } from './NewWater.tsx'
import { TakeReadings } from './TakeReadings.tsx'

onTheDemo()

async function reading() {
  const { reaches, today } = await asked.frame()
  const { reachId, warmth } = reaches.find(({ reachName }) => reachName === 'Tarn basin')!
  show(<TakeReadings reachId={reachId} isDemo today={today} nowMin={11 * 60} warmth={warmth} level={null} />)
  await until(() => screen.queryByRole('form', { name: 'One reading' }))
  const days = async () => {
    const { data } = await askOnce(
      store.dispatch(api.endpoints.reachSeason.initiate({ reachId }, { forceRefetch: true })),
    )
    return data!.days
  }
  return { days }
}
const write = (field: HTMLElement, value: string) => fireEvent.change(field, { target: { value } })

describe('readings of a reach', () => {
  it('are kept one by one: a day that there is, water that is no colder than ice', async () => {
    const { days } = await reading()
    const form = within(screen.getByRole('form', { name: 'One reading' }))
    const keep = form.getByRole<HTMLButtonElement>('button')
    expect(keep.disabled).toBe(true)
    write(form.getByLabelText('Water, °C'), '33')
    expect(keep.disabled).toBe(true)
    write(form.getByLabelText('Water, °C'), '11.25')
    write(form.getByLabelText('On'), '2026-02-31')
    write(form.getByLabelText('On'), 'yesterday')
    expect(keep.disabled).toBe(true)
    expect(form.getByText('Write 2026-06-03.')).toBeDefined()
    write(form.getByLabelText('On'), '2026-05-30')
    const before = (await days()).length
    fireEvent.click(keep)
    await until(async () => (await days()).length > before)
    expect((await days()).at(-1)?.[1]).toBeCloseTo(11.25, 6)
    await until(() => (form.getByLabelText<HTMLInputElement>('Water, °C').value === '' ? true : null))
  })

  it('come as a table: looked at first, and all of it or nothing', async () => {
    const { days } = await reading()
    const group = within(screen.getByRole('group', { name: 'A table of readings' }))
    write(group.getByRole('textbox'), '2026-04-01;8.1\n2026-04-02;warm\n')
    fireEvent.click(group.getByRole('button', { name: 'See what it says' }))
    await until(() => group.queryByText(/1 line is not clear, and 1 good/))
    expect(group.getByText('line 2: “warm” is no temperature.')).toBeDefined()
    expect(group.queryByRole('button', { name: 'Take them in' })).toBeNull()
    write(group.getByRole('textbox'), '2026-04-01;8.1\n2026-04-02;8.5\n')
    fireEvent.click(group.getByRole('button', { name: 'See what it says' }))
    const take = await until(() => group.queryByRole('button', { name: 'Take them in' }))
    expect(group.getByText(/2 readings from Wed 1 April 2026 to Thu 2 April 2026/)).toBeDefined()
    const before = (await days()).length
    fireEvent.click(take)
    await until(async () => (await days()).length === before + 2)
  })

  it('come from the simulated gauge, two days of them', async () => {
    const { days } = await reading()
    fireEvent.click(screen.getByRole('button', { name: 'Take two days from the simulated gauge' }))
    await until(async () => (await days()).length >= 2)
    const last = (await days()).slice(-2)
    expect(last[1]![0] - last[0]![0]).toBe(1)
  })
})

describe('a new water', () => {
  it('is added from its form once nothing is missing, and a name that is taken is told', async () => {
    let done = 0
    show(<NewWater onDone={() => (done += 1)} />)
    await until(() => screen.queryByLabelText('Usual depth, m'))
    const add = () => fireEvent.click(screen.getByRole('button', { name: 'Add the water' }))
    add()
    expect(screen.getByText(/Fill in name, depth, speed/)).toBeDefined()
    write(screen.getByLabelText('Name'), 'River Harnsel')
    write(screen.getByLabelText('Usual depth, m'), '0.7')
    write(screen.getByLabelText('Surface speed, m/s'), '0.5')
    add()
    await until(() => screen.queryByRole('alert'))
    expect(done).toBe(0)
    write(screen.getByLabelText('Name'), 'Sill Beck')
    add()
    await until(() => done === 1)
    const { reaches } = await asked.frame()
    expect(reaches.find(({ reachName }) => reachName === 'Sill Beck')).toMatchObject({ typicalDepthMm: 700, surfaceSpeedMmPerS: 500 }) // prettier-ignore
  })
})
