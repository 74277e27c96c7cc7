// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../../testing/asked.ts'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import Coverage from './cover/Coverage.tsx'
import NewBox from './NewBox.tsx'
import { arrangedCompartments, bareCompartments } from './newBox.ts'
import PasteFlies from './PasteFlies.tsx'

onTheDemo()

const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name })

describe('a new box', () => {
  it('has rows and columns of compartments, each with its slits', () => {
    const places = bareCompartments(2, 3, 8)
    expect(places.map(({ row, column }) => `${row}.${column}`)).toEqual([
      '1.1',
      '1.2',
      '1.3',
      '2.1',
      '2.2',
      '2.3',
    ])
    expect(new Set(places.map(({ id }) => id)).size).toBe(6)
    expect(places.every(({ capacity }) => capacity === 8)).toBe(true)
  })

  it('arranged, has room for what is on hand, and a place for each fly', () => {
    const places = [{ code: 'slow', flyKeys: ['a', 'b'] }, { code: 'anchor', flyKeys: ['c'] }] // prettier-ignore
    const held = (keys: readonly string[]) => 9 * keys.length
    const { compartments, homes } = arrangedCompartments(' Test ', places, 12, held)
    expect(compartments.map(({ capacity }) => capacity)).toEqual([18, 12])
    expect(compartments[0]!.label).toMatch(/^Test: \w/)
    expect(compartments.map(({ row, column }) => [row, column])).toEqual([[1, 1], [2, 1]]) // prettier-ignore
    expect(homes.map(({ variantId, compartmentId }) => [variantId, compartmentId])).toEqual([
      ['a', compartments[0]!.id],
      ['b', compartments[0]!.id],
      ['c', compartments[1]!.id],
    ])
    expect(arrangedCompartments('Test', places, null, held).compartments[0]!.capacity).toBeNull()
    expect(arrangedCompartments('N'.repeat(80), places, 1, held).compartments[0]!.label).toHaveLength(60)
  })

  it('is made from the form once it has a name, and a name that is taken is told', async () => {
    let done = 0
    show(<NewBox onDone={() => (done += 1)} />)
    await until(() => screen.queryByLabelText('Rows'))
    expect(button('Make the box').disabled).toBe(true)
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Dale Box' } })
    fireEvent.click(button('Make the box'))
    expect((await until(() => screen.queryByRole('alert'))).textContent).toMatch(/taken/)
    expect(document.activeElement).toBe(screen.getByLabelText('Name'))
    expect(done).toBe(0)
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Hill Box' } })
    fireEvent.change(screen.getByLabelText('Rows'), { target: { value: '2.5' } })
    expect(screen.queryByText('Whole ones only.')).not.toBeNull()
    fireEvent.click(button('Make the box'))
    expect(document.activeElement).toBe(screen.getByLabelText('Rows'))
    fireEvent.change(screen.getByLabelText('Rows'), { target: { value: '2' } })
    fireEvent.change(screen.getByLabelText('Columns'), { target: { value: '2' } })
    fireEvent.click(button('Make the box'))
    await until(() => done === 1)
    const made = (await asked.boxes()).boxes.find(({ name }) => name === 'Hill Box')!
    expect(made.compartments).toHaveLength(4)
    expect(made.compartments.every(({ capacity }) => capacity === 12)).toBe(true)
  })
})

describe('flies that are pasted', () => {
  it('are shown as understood, asked about where they are not, and put in', async () => {
    let done = 0
    const { boxes } = await asked.boxes()
    show(<PasteFlies boxes={boxes} onDone={() => (done += 1)} />)
    const field = await until(() => screen.queryByLabelText<HTMLTextAreaElement>(/^Flies, such as/))
    await until(() => /Hook/.test(button(/Hooks of what is new/).textContent ?? ''))
    fireEvent.change(field, { target: { value: 'third button x2\nbent pin 12 x3\nx6' } })
    const table = screen.getByRole('table', { name: 'What was understood' })
    expect(within(table).getAllByText(/without a recipe/).length).toBeGreaterThan(0)
    expect(within(table).getAllByRole('row')).toHaveLength(4)
    expect(button(/^Put 5 flies in/).disabled).toBe(true)
    fireEvent.change(field, { target: { value: 'bent pin 12 x3' } })
    await choose(/^Into|Into$/, /Still Wallet: Spare/)
    fireEvent.click(button(/^Put 3 flies in/))
    await until(() => done === 1)
    const spare = (await asked.boxes()).boxes.flatMap(({ compartments }) => compartments).find(({ label }) => label === 'Spare')! // prettier-ignore
    expect(spare.flies.find(({ patternName }) => patternName === 'bent pin')?.count).toBe(3)
  })
})

describe('what the boxes cover', () => {
  it('is told food by food, with the flies that serve one where it is opened', async () => {
    show(<Coverage />)
    const table = await until(() => screen.queryByRole('table', { name: 'Cover' }), 120_000)
    const cells = within(table).getAllByRole('button')
    expect(cells.length).toBeGreaterThan(8)
    const heading = screen.getByRole('heading', { level: 2 }).textContent ?? ''
    const [, foods, covered, short, holes, none] = /(\d+) foods: (\d+) covered, (\d+) short, (\d+) holes?, (\d+) more/.exec(heading)!.map(Number) // prettier-ignore
    expect(cells).toHaveLength(foods!)
    expect(covered! + short! + holes! + none!).toBe(foods)
    const food = cells.find((cell) => /\d+ (covered|short)/.test(cell.textContent ?? ''))!
    expect(food.getAttribute('aria-expanded')).toBe('false')
    fireEvent.click(food)
    expect(food.getAttribute('aria-expanded')).toBe('true')
    expect(within(table).getAllByRole('link').length).toBeGreaterThan(0)
    fireEvent.click(food)
    expect(within(table).queryAllByRole('link')).toEqual([])
  })

  it('is looked at by situation, by season and by what was taken, too', async () => {
    show(<Coverage />)
    await until(() => screen.queryByText(/fish have something on hand to show/), 120_000)
    const rowsOf = async (button: string) => {
      fireEvent.click(await until(() => screen.queryByRole('button', { name: button })))
      const table = await until(() => screen.queryByRole('table', { name: button }), 120_000)
      return within(table)
        .getAllByRole('row')
        .slice(1)
        .map((row) => row.textContent ?? '')
    }
    const situations = await rowsOf('By situation')
    expect(situations).toHaveLength(7)
    expect(situations.every((row) => /\d of 10 fish|1 fish in|hardly/.test(row))).toBe(true)
    expect(await rowsOf('By season')).toHaveLength(12)
    const trusted = await rowsOf('By confidence')
    const held = (await asked.plan()).variants.filter(({ onHand }) => onHand > 0)
    expect(trusted).toHaveLength(held.length)
    // what was fished comes first, with its rate and the interval of it
    expect(trusted[0]).toMatch(/\d\.\d \d\.\d–\d\.\d/)
    expect(trusted.at(-1)).toContain('not fished yet')
  })

  it('asks for what the user asks of boxes, and keeps that', async () => {
    show(<Coverage />)
    await until(() => screen.queryByRole('table', { name: 'Cover' }), 120_000)
    const sizes = screen.getByRole<HTMLInputElement>('checkbox', { name: 'small and large' })
    expect(sizes.checked).toBe(true)
    fireEvent.click(sizes)
    await until(async () => !(await asked.frame()).settings.cover.sizes)
    expect((await asked.frame()).settings.cover.lightAndHeavy).toBe(true)
    const anchors = screen.getByLabelText('Anchors')
    fireEvent.change(anchors, { target: { value: '7' } })
    fireEvent.blur(anchors)
    await until(async () => (await asked.frame()).settings.cover.anchors === 7)
  })
})
