// @vitest-environment jsdom
import { act, fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { StageLine } from '../../../../contract/index.ts'
import { foodStageBody } from '../../../../contract/records/food.ts'
import { asked } from '../../../testing/asked.ts'
import { onTheDemo, show, until } from '../../../testing/onThePage.tsx'
import { draftOf } from './draft.ts'
import StageEdit from './StageEdit.tsx'

onTheDemo()

const lineOf = async (id: string) => (await asked.larder()).stages.find((stage) => stage.id === id)!
async function firstOf(isOne: (stage: StageLine) => boolean): Promise<StageLine> {
  const found = (await asked.larder()).stages.find(isOne)
  if (!found) throw new Error('the larder has no such stage')
  return found
}
const warmed = ({ trigger, broods, isEdited }: StageLine) =>
  trigger.kind === 'waterTemp' && 'latest' in trigger && broods.length === 0 && !isEdited

/** The form of a stage; what it was left for. */
function form(line: StageLine) {
  const left: (string | null)[] = []
  const shown = show(<StageEdit line={line} groups={[line.groupKey]} onDone={(to) => left.push(to)} />)
  return { left, ...shown }
}
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)
const type = (label: string, text: string) => fireEvent.change(field(label), { target: { value: text } })
const press = (name: string) => act(() => fireEvent.click(screen.getByRole('button', { name })))

/** Saves what stands in the form, and answers the stage as it is then. */
async function saved(line: StageLine, left: readonly unknown[]): Promise<StageLine> {
  press('Save')
  await until(() => left.length > 0)
  expect(left).toEqual([line.id])
  return lineOf(line.id)
}

describe('what a form saves of a stage', () => {
  it('is all that the larder knows of it, of each of them', async () => {
    const { stages } = await asked.larder()
    expect(stages.length).toBeGreaterThan(150)
    for (const line of stages) {
      const draft = draftOf(line)
      expect(foodStageBody.parse(draft), `${line.foodName}, ${line.stageName}`).toEqual(draft)
    }
  })
})

describe('the form of a life stage', () => {
  it('saves nothing before something is changed', async () => {
    form(await firstOf(warmed))
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save' }).disabled).toBe(true)
  })

  it('saves what was changed and leaves all else as it was', async () => {
    const line = await firstOf(warmed)
    const before = draftOf(line)
    const { left } = form(line)
    type('Likely in Jan, of 10', '2.5')
    type('Shortest in Jan, mm', '6.5')
    type('freestone river', '7')
    type('usually', '3')
    type('For the tier', 'Dub it thin.')
    const after = await saved(line, left)
    expect(draftOf(after)).toEqual({
      ...before,
      months: before.months.map((month, at) =>
        at === 0 ? { lengthMmHigh: 8, ...month, lengthMmLow: 6.5, likelihood: 0.25 } : month,
      ),
      waterKinds: { ...before.waterKinds, freestone: 0.7 },
      amount: { ...before.amount, usual: 3 },
      noteForTier: 'Dub it thin.',
    })
    expect(after).toMatchObject({ isEdited: true, version: line.version + 1 })
  })

  it('moves the 8 in 10 with the warmth that starts it', async () => {
    const line = await firstOf(warmed)
    const { trigger } = line
    if (trigger.kind !== 'waterTemp') throw new Error('it waits for something else')
    const { left } = form(line)
    type('from, °C', String(trigger.thresholdC + 1.5))
    expect(Number(field('8 in 10 from, °C').value)).toBeCloseTo(trigger.lowC + 1.5, 6)
    const after = await saved(line, left)
    const moved = { ...trigger, thresholdC: trigger.thresholdC + 1.5, lowC: trigger.lowC + 1.5, highC: trigger.highC + 1.5 } // prettier-ignore
    expect(after.trigger).toEqual(moved)
  })

  it('says at its place in the form what cannot be, and keeps what was typed', async () => {
    const line = await firstOf(warmed)
    const { left } = form(line)
    type('8 in 10 from, °C', '25')
    type('anyhow by, month-day', '01-01')
    press('Save')
    const alert = await until(() => screen.queryByRole('alert'))
    expect(within(alert).getAllByText(/./).map(({ textContent }) => textContent)).toEqual([
      'What starts it, from: The warmth that starts it lies between the lowest and the highest of the 8 in 10.',
      'What starts it, anyhow by, month-day: It starts anyhow on a day before it may.',
    ]) // prettier-ignore
    expect(left).toEqual([])
    expect(document.activeElement).toBe(field('from, °C'))
    expect(screen.getAllByText(/^It starts anyhow on a day before it may\.$/)).toHaveLength(1)
    expect(field('8 in 10 from, °C').value).toBe('25')
    expect((await lineOf(line.id)).version).toBe(line.version)
  })

  it('is not saved while something in it is not understood, whatever else was changed', async () => {
    const line = await firstOf(warmed)
    const { left } = form(line)
    type('For the tier', 'Sparse.')
    type('usually', 'plenty')
    press('Save')
    expect(document.activeElement).toBe(field('usually'))
    expect(field('usually').value).toBe('plenty')
    type('usually', '2.5')
    const after = await saved(line, left)
    expect(after).toMatchObject({ noteForTier: 'Sparse.', amount: { usual: 2.5 } })
  })

  it('takes hours in hours from the sun, and refuses those that end before they begin', async () => {
    const line = await firstOf((stage) => warmed(stage) && stage.hours.length > 0)
    const { left } = form(line)
    const first = within(screen.getByRole('group', { name: 'Hours 1' }))
    const [from, to] = first.getAllByRole<HTMLInputElement>('textbox')
    expect(from!.value).toBe(String(Math.round(line.hours[0]!.fromMin / 6) / 10))
    fireEvent.change(from!, { target: { value: '2' } })
    fireEvent.change(to!, { target: { value: '1.5' } })
    press('Save')
    expect((await until(() => screen.queryByRole('alert'))).textContent).toBe(
      'hours 0 toMin: The hours end before they begin.',
    )
    fireEvent.change(to!, { target: { value: '4.5' } })
    const { hours } = await saved(line, left)
    expect(hours[0]).toEqual({ ...line.hours[0], fromMin: 120, toMin: 270 })
    expect(hours.slice(1)).toEqual(line.hours.slice(1))
  })

  it('adds hours and a brood’s warmth where they are, and leaves hours out', async () => {
    const line = await firstOf(({ broods, hours }) => broods.length > 1 && hours.length > 0)
    const { left } = form(line)
    press('Other hours')
    press('Leave out hours 1')
    const brood = screen.getByRole('group', { name: `The ${line.broods[1]!.name} brood waits for` })
    fireEvent.change(within(brood).getByLabelText('lasts, days'), { target: { value: '33' } })
    const after = await saved(line, left)
    expect(after.hours).toEqual([
      ...line.hours.slice(1),
      { anchor: 'solarNoon', fromMin: -120, toMin: 180, weight: 1, seasons: ['winter', 'spring', 'summer', 'autumn'], weather: 'any' },
    ]) // prettier-ignore
    expect(after.broods[1]!.trigger).toEqual({ ...line.broods[1]!.trigger, durationDays: 33 })
    expect(after.broods[0]).toEqual(line.broods[0])
  })

  it('goes back to what shipped', async () => {
    const line = await firstOf(({ isEdited, isShipped }) => isEdited && isShipped)
    const { left } = form(line)
    press('Go back to what shipped')
    await until(() => left.length > 0)
    expect(left).toEqual([line.id])
    expect((await lineOf(line.id)).isEdited).toBe(false)
  })

  it('offers no way back where a stage is as it shipped, and puts one away', async () => {
    const line = await firstOf(warmed)
    const { left } = form(line)
    expect(screen.queryByRole('button', { name: 'Go back to what shipped' })).toBeNull()
    press('Put it away')
    await until(() => left.length > 0)
    expect(left).toEqual([null])
    expect(await lineOf(line.id)).toBeUndefined()
  })

  it('asks before what is typed is left', async () => {
    const line = await firstOf(({ isEdited }) => !isEdited)
    const { left, router } = form(line)
    type('For the tier', 'Not yet.')
    act(() => void router.navigate('/elsewhere'))
    await until(() => screen.queryByRole('alert'))
    press('Stay')
    expect(field('For the tier').value).toBe('Not yet.')
    act(() => void router.navigate('/elsewhere'))
    await until(() => screen.queryByRole('alert'))
    press('Leave without saving')
    await until(() => router.state.location.pathname === '/elsewhere')
    expect(left).toEqual([])
    expect((await lineOf(line.id)).noteForTier).toBe(line.noteForTier)
  })
})
