// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { VariantId } from '../../../contract/index.ts'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, press, show, until } from '../../testing/onThePage.tsx'
import { api } from '../../wire/api.ts'
import { askOnce } from '../../wire/askOnce.ts'
import { store } from '../../wire/store.ts'
import { DropTestForm } from './DropTestForm.tsx'
import { WeighingForm } from './WeighingForm.tsx'

onTheDemo()

const kept = async () => {
  const { data } = await askOnce(
    store.dispatch(api.endpoints.measurements.initiate(undefined, { forceRefetch: true })),
  )
  return data!
}
const write = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } })
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name })

describe('the form of a drop test', () => {
  async function form() {
    const { variants } = await asked.pattern('Cold Tea')
    const choices = variants.map(({ id, label }) => ({ id: id as string, name: label }))
    show(
      <DropTestForm
        choices={choices}
        firstId={choices[0]!.id}
        waterTempC={11}
        speedOf={() => 200}
        withStandIns
      />,
    )
    await until(() => screen.queryByRole('form', { name: 'A drop test' }))
    return variants[0]!.id
  }
  const testsOf = async (id: VariantId) => (await kept()).tests.filter(({ variantId }) => variantId === id)

  it('says how fast the fly fell, keeps it once it has a time, and is empty for the next', async () => {
    const id = await form()
    expect(button('Keep the test').disabled).toBe(true)
    write('Depth, m', '1.5')
    write('Times, s', '5.0 5.2 4.8')
    expect(screen.getByRole('status').textContent).toContain('1.5 m in 5.0 s: 30 cm/s')
    write('Times, s', '5.0 soon')
    expect(screen.getByText('“soon” is no time.')).toBeDefined()
    expect(button('Keep the test').disabled).toBe(true)
    write('Times, s', '5.0 5.2 4.8')
    const before = (await testsOf(id)).length
    fireEvent.click(button('Keep the test'))
    await until(async () => (await testsOf(id)).length === before + 1)
    const test = (await testsOf(id)).find(({ depthMm }) => depthMm === 1500)!
    expect(test).toMatchObject({ depthMm: 1500, waterTempC: 11, wet: 'soaked', timing: 'thumb', note: '' })
    expect(test.times.map(({ timeS }) => timeS)).toEqual([5, 5.2, 4.8])
    await until(() => screen.getByLabelText<HTMLInputElement>('Times, s').value === '')
  })

  it('times with the space bar while the stopwatch is out', async () => {
    await form()
    press(' ')
    expect(screen.getByLabelText<HTMLInputElement>('Times, s').value).toBe('')
    fireEvent.click(button('Time it with the space bar'))
    press(' ')
    expect(screen.getByRole('status').textContent).toContain('Falling.')
    await new Promise((resolve) => setTimeout(resolve, 40))
    press(' ')
    expect(Number(screen.getByLabelText<HTMLInputElement>('Times, s').value)).toBeGreaterThan(0.02)
    fireEvent.click(button('Put the stopwatch away'))
    press(' ')
    expect(screen.getByRole('status').textContent).not.toContain('Falling.')
  })

  it('tells that simulated gates timed it', async () => {
    const id = await form()
    for (let n = 0; n < 12 && screen.getByLabelText<HTMLInputElement>('Times, s').value === ''; n += 1) {
      fireEvent.click(button('Drop it through simulated gates'))
      await until(() => !button('Drop it through simulated gates').disabled)
    }
    const timeS = Number(screen.getByLabelText<HTMLInputElement>('Times, s').value)
    // 1.2 m at 200 mm/s
    expect(timeS).toBeGreaterThan(4)
    expect(timeS).toBeLessThan(8)
    fireEvent.click(button('Keep the test'))
    await until(async () => (await testsOf(id)).some(({ note }) => note === 'Simulated gates.'))
    const gated = (await testsOf(id)).find(({ note }) => note === 'Simulated gates.')
    expect(gated?.timing).toBe('gates')
  })
})

describe('the form of a weighing', () => {
  it('says what one weighs of those that lie on the scale, and keeps that in core’s unit', async () => {
    await askOnce(store.dispatch(api.endpoints.stores.initiate()))
    show(<WeighingForm flies={[]} massOf={() => 20} withStandIns={false} />)
    const form = within(await until(() => screen.queryByRole('form', { name: 'A weighing' })))
    expect(form.queryByRole('button', { name: /simulated scale/ })).toBeNull()
    const keep = form.getByRole<HTMLButtonElement>('button', { name: 'Keep the weighing' })
    write(/^All together, mg/, '0.21 g')
    expect(keep.disabled).toBe(true)
    fireEvent.click(form.getByRole('button', { name: /On the scale/ }))
    fireEvent.click((await until(() => (screen.queryAllByRole('option').length > 0 ? screen.queryAllByRole('option') : null)))[0]!) // prettier-ignore
    expect(form.getByText('21 mg each.')).toBeDefined()
    const before = (await kept()).weighings.length
    fireEvent.click(keep)
    await until(async () => (await kept()).weighings.length === before + 1)
    expect((await kept()).weighings.some(({ totalMg, count }) => totalMg === 210 && count === 10)).toBe(true) // prettier-ignore
  })
})
