// @vitest-environment jsdom
import { act, fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { OutingLine } from '../../../contract/index.ts'
import { asked } from '../../testing/asked.ts'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { useFrameQuery, useOutingsQuery } from '../../wire/answers.ts'
import { Fished } from './Fished.tsx'
import Outings from './Outings.tsx'
import { PlanOuting } from './PlanOuting.tsx'

onTheDemo()

const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)
const type = (label: string, text: string) => fireEvent.change(field(label), { target: { value: text } })
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name })
const press = (name: string | RegExp) => act(() => fireEvent.click(button(name)))
const outings = async () => (await asked.outings()).outings
const outingOn = async (on: string) => (await outings()).find((one) => one.on === on)!

/** A reach by the name that the list of waters gives it. */
const reaches = async () => (await asked.frame()).reaches

describe('an outing that is planned', () => {
  /** The form, once it knows the waters; how often it was done. */
  async function form() {
    let done = 0
    function Ready() {
      const { data } = useFrameQuery()
      return data ? <PlanOuting onDone={() => (done += 1)} /> : null
    }
    show(<Ready />)
    await until(() => screen.queryByRole('button', { name: 'Plan it' }))
    return () => done
  }

  it('has a water, a day, hours and a way, and goes into the list', async () => {
    const done = await form()
    const [first] = (await reaches()).filter(({ reachName, waterName }) => reachName !== waterName)
    await choose(/Water$|^Water/, `${first!.waterName}, ${first!.reachName}`)
    type('Day', '2026-07-11')
    type('From', '9')
    type('to', '13:30')
    await choose(/^How|How$/, 'dry')
    await choose(/^Then|Then$/, 'swung wets')
    type('Note', 'Take the short rod.')
    press('Plan it')
    await until(() => done() === 1)
    expect(await outingOn('2026-07-11')).toMatchObject({
      reachId: first!.reachId,
      waterId: first!.waterId,
      fromLocalMin: 540,
      toLocalMin: 810,
      status: 'planned',
      technique: 'dry',
      note: 'Take the short rod.',
    })
    expect((await outingOn('2026-07-11')).alsoTechniques).toHaveLength(1)
  })

  it.each([
    ['From', 'dawn', 'As 10:00.'],
    ['to', '25:00', 'As 16:00.'],
    ['to', '09:59', 'It ends before it begins.'],
  ])('is not planned while “%s” is “%s”', async (label, text, sentence) => {
    await form()
    type('Day', '2026-07-12')
    type(label, text)
    expect(screen.getByText(sentence)).toBeDefined()
    expect(button('Plan it').disabled).toBe(true)
  })

  it('is refused on a day that there is not, and what was typed stays', async () => {
    const done = await form()
    type('Day', '')
    expect(button('Plan it').disabled).toBe(true)
    type('Day', '2026-07-12')
    type('From', '10:00')
    press('Leave it')
    expect(done()).toBe(1)
    expect(await outingOn('2026-07-12')).toBeUndefined()
  })
})

/** A fly, as lists of flies call it. */
const aFly = async () => {
  const { name, variants } = await asked.pattern('Damp Straw')
  return `${name} ${variants[0]!.label}`
}

describe('the flies that were fished', () => {
  /** What was fished on the outing of 23 May, as its row says it. */
  async function fished() {
    const { id } = await outingOn('2026-05-23')
    function Row() {
      const outing = useOutingsQuery().data?.outings.find((one) => one.id === id)
      return outing ? <Fished outing={outing} /> : null
    }
    show(<Row />)
    press(await until(() => screen.queryByRole('button', { name: 'Note a fly that was fished' })?.textContent))
    await until(() => screen.queryByRole('group', { name: 'A fly that was fished' }))
    return async (): Promise<OutingLine['spells']> => (await outingOn('2026-05-23')).spells
  }

  it('are noted with minutes, takes and refusals, and put away', async () => {
    const spells = await fished()
    const before = await spells()
    await choose(/^Fly|Fly$/, await aFly())
    type('Minutes', '45')
    type('Takes', '3')
    type('Refusals', '2')
    press('Note it')
    const made = await until(async () =>
      (await spells()).find(({ spellId }) => before.every((one) => one.spellId !== spellId)),
    )
    expect(made).toMatchObject({ minutes: 45, takes: 3, refusals: 2, rigId: null })
    const away = `Put the note of ${made.patternName} ${made.label} away`
    await until(() => screen.queryAllByRole('button', { name: away }).length > 0)
    act(() => fireEvent.click(screen.getAllByRole('button', { name: away }).at(-1)!))
    await until(async () => (await spells()).length === before.length)
  })

  it('are not noted without a fly, or with minutes that nobody can read', async () => {
    const spells = await fished()
    const before = await spells()
    press('Note it')
    expect(screen.getByText(/^Choose a fly/)).toBeDefined()
    await choose(/^Fly|Fly$/, await aFly())
    // six on the way to what is no number
    type('Minutes', '6')
    type('Minutes', '6o')
    press('Note it')
    expect(screen.getByText(/how many minutes/)).toBeDefined()
    expect(await spells()).toEqual(before)
    type('Minutes', '60')
    press('Note it')
    await until(async () => (await spells()).length === before.length + 1)
  })
})

describe('the list of outings', () => {
  it('has what comes first, the next one on top, then what was', async () => {
    show(<Outings />)
    await until(() => screen.queryByRole('heading', { level: 1 }))
    const { today } = await asked.frame()
    const days = within(document.body).getAllByRole('link').map(({ textContent }) => textContent ?? '').filter((text) => /\d{4}|\d+ \w+/.test(text)) // prettier-ignore
    const coming = (await outings()).filter(({ on, status }) => status === 'planned' && on >= today)
    expect(coming.length).toBeGreaterThan(1)
    expect(days.length).toBeGreaterThanOrEqual((await outings()).length)
  })

  it('calls one off and plans it again', async () => {
    show(<Outings />)
    await until(() => screen.queryAllByRole('button', { name: 'Call it off' })[0])
    const { today } = await asked.frame()
    const [next] = (await outings())
      .filter(({ on, status }) => status === 'planned' && on >= today)
      .sort((a, b) => a.on.localeCompare(b.on))
    act(() => fireEvent.click(screen.getAllByRole('button', { name: 'Call it off' })[0]!))
    await until(async () => (await outingOn(next!.on)).status === 'cancelled')
    const again = await until(() => screen.queryAllByRole('button', { name: 'Plan it again' })[0])
    act(() => fireEvent.click(again))
    await until(async () => (await outingOn(next!.on)).status === 'planned')
    const { version: _was, ...before } = next!
    const { version: _is, ...after } = await outingOn(next!.on)
    expect(after).toEqual(before)
  })

  it('opens the form by its key, and packing and emptying at addresses of their own', async () => {
    const { router } = show(<Outings />)
    await until(() => screen.queryByRole('heading', { level: 1 }))
    act(() => fireEvent.click(screen.getAllByRole('button', { name: 'Pack' })[0]!))
    await until(() => new URLSearchParams(router.state.location.search).get('pack'))
    await until(() => screen.queryByRole('heading', { level: 1, name: /^Pack/ }))
    await act(() => router.navigate('/'))
    act(() => fireEvent.click(screen.getAllByRole('button', { name: 'Empty the pockets' })[0]!))
    await until(() => new URLSearchParams(router.state.location.search).get('empty'))
  })
})
