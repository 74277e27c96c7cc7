// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { OutingLine } from '../../../contract/index.ts'
import { asked } from '../../testing/asked.ts'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { EmptyPockets } from './EmptyPockets.tsx'
import { Pack } from './Pack.tsx'

onTheDemo()

const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name })
const outing = async (on: string): Promise<OutingLine> =>
  (await asked.outings()).outings.find((one) => one.on === on)!
const held = async (label: string) =>
  (await asked.boxes()).boxes
    .flatMap(({ compartments }) => compartments)
    .find((place) => place.label === label)!
    .flies.reduce((sum, { count }) => sum + count, 0)

describe('packing for an outing', () => {
  it('proposes what that day asks for, as many as are kept, and puts it where it is wanted', async () => {
    let done = 0
    show(<Pack outing={await outing('2026-06-06')} onDone={() => (done += 1)} />)
    await until(() => screen.queryAllByText(/to show it/).length > 0)
    const coveredOf6 = () =>
      Number(/covered ([\d.]+) of 6 h/.exec(screen.getByRole('status').textContent ?? '')?.[1])
    expect(coveredOf6()).toBe(0)
    expect(button(/^Pack 0 flies/).disabled).toBe(true)
    fireEvent.click(button('What that day asks for'))
    const pack = button(/^Pack (one fly|[1-9]\d* flies)/)
    expect(pack.disabled).toBe(true)
    const ticked = screen.getAllByRole<HTMLInputElement>('checkbox').filter(({ checked }) => checked)
    expect(ticked.length).toBeGreaterThan(2)
    expect(ticked.length).toBeLessThanOrEqual(screen.getAllByText(/to show it/).length)
    expect(coveredOf6()).toBeGreaterThan(1)
    fireEvent.click(ticked[0]!)
    expect(ticked[0]!.checked).toBe(false)
    const total = Number(/\d+/.exec(button(/^Pack/).textContent ?? '')?.[0])
    await choose(/^Into|Into$/, /Still Wallet: Spare/)
    const before = await held('Spare')
    fireEvent.click(button(/^Pack/))
    await until(() => (done === 1 ? true : screen.queryByRole('button', { name: 'Put in anyway' })))
    // a compartment that is too small asks first
    const anyway = screen.queryByRole('button', { name: 'Put in anyway' })
    if (anyway) {
      expect(await held('Spare')).toBe(before)
      fireEvent.click(anyway)
    }
    await until(async () => (await held('Spare')) === before + total)
  })

  it('takes no more of a fly than lie there, and says which fly it counts', async () => {
    show(<Pack outing={await outing('2026-06-13')} onDone={() => undefined} />)
    const [first] = await until(() => screen.queryAllByRole('checkbox'))
    const row = first!.closest('tr')!
    fireEvent.click(first!)
    const count = within(row).getByRole<HTMLInputElement>('textbox')
    const there = Number(within(row).getAllByRole('cell')[2]!.textContent)
    fireEvent.change(count, { target: { value: String(there + 1) } })
    expect(within(row).getByText(`From 1 to ${there}.`)).toBeDefined()
    fireEvent.change(count, { target: { value: String(there) } })
    expect(button(/^Pack/).textContent).toContain(there === 1 ? 'one fly' : `${there} flies`)
  })
})

describe('emptying the pockets', () => {
  it('counts what is tapped as missing, and writes it down where it went', async () => {
    const past = await outing('2026-05-23')
    show(<EmptyPockets outing={past} onDone={() => undefined} />)
    const lose = await until(() =>
      screen.queryByRole<HTMLButtonElement>('button', { name: 'Write down as lost' }),
    )
    expect(lose.disabled).toBe(true)
    expect(screen.getByText('Nothing marked')).toBeDefined()
    const [more] = screen.getAllByRole('button', { name: /^One (?!less).* missing$/ })
    fireEvent.click(more!)
    expect(lose.disabled).toBe(false)
    expect(button('Done').disabled).toBe(true)
    await choose(/Where they went/, /^tree$/)
    const lost = past.losses.length
    fireEvent.click(lose)
    await until(async () => (await outing('2026-05-23')).losses.length > lost)
    await until(() => screen.queryByText('Nothing marked'))
    expect(button('Done').disabled).toBe(false)
    const written = (await outing('2026-05-23')).losses.map(({ cause }) => cause)
    expect(written.filter((cause) => cause === 'tree').length).toBeGreaterThan(past.losses.filter(({ cause }) => cause === 'tree').length) // prettier-ignore
  })
})
