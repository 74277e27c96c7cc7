// @vitest-environment jsdom
import { act, fireEvent, screen } from '@testing-library/react'
import { useState } from 'react'
import { afterEach, describe, expect, it } from 'vitest'
import type { FrameView } from '../../../contract/index.ts'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, press, show, until } from '../../testing/onThePage.tsx'
import { makePlaceActions, PlaceActionsContext, usePlaceActions } from '../../ui/shortcuts.ts'
import { chooseMoment, find, toggleKeys } from '../../wire/state.ts'
import { store } from '../../wire/store.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { useFrameKeys } from './useFrameKeys.ts'

onTheDemo()
afterEach(() => {
  store.dispatch(find(null))
  if (store.getState().view.showKeys) store.dispatch(toggleKeys())
})

function Place({ onOwn, single = true, lastActionId }: { onOwn: (key: string) => void; single?: boolean; lastActionId?: string }) {
  usePlaceActions(
    ['r', 'Shift+ArrowDown', 'Alt+ArrowUp', 'Enter', 'Ctrl+s'].map((key) => ({ key, what: key, go: () => onOwn(key) })),
  )
  const lastAction = lastActionId ? { actionId: lastActionId } : null
  useFrameKeys({ settings: { singleKeys: single }, lastAction } as unknown as FrameView)
  return (
    <>
      <input aria-label="Name" />
      <button id="moment">Moment</button>
      <a data-mark href="/mark">Mark</a>
      <div role="dialog"><span>Asked</span></div>
    </>
  )
} // prettier-ignore

function Framed(props: Parameters<typeof Place>[0]) {
  const [actions] = useState(makePlaceActions)
  return (
    <PlaceActionsContext value={actions}>
      <Place {...props} />
    </PlaceActionsContext>
  )
}

function open(options: Partial<Parameters<typeof Place>[0]> = {}) {
  const pressed: string[] = []
  const onOwn = (key: string) => void pressed.push(key)
  const { router } = show(<Framed onOwn={onOwn} {...options} />, { path: '*' })
  const type = (key: string, more: object = {}) =>
    fireEvent.keyDown(screen.getByLabelText('Name'), { key, ...more })
  return { pressed, at: () => router.state.location.pathname, type }
}

describe('useFrameKeys', () => {
  it.each([['3', '/larder'], ['4', '/patterns'], ['9', '/stores'], ['1', '/ahead']])('%s leads to %s', async (key, path) => {
    const { at } = open()
    press(key)
    await until(() => at() === path)
  }) // prettier-ignore

  it('leaves digits and letters to a field, and its focus with Escape', () => {
    const { at, pressed, type } = open()
    screen.getByLabelText('Name').focus()
    type('4')
    type('r')
    expect(at()).toBe('/')
    expect(pressed).toEqual([])
    expect(document.activeElement).toBe(screen.getByLabelText('Name'))
    type('Escape')
    expect(document.activeElement).toBe(document.body)
  })

  it('calls the keys of the place, with Shift and with Alt, also large ones', () => {
    const { pressed } = open()
    press('R', { shift: true })
    press('ArrowDown', { shift: true })
    press('ArrowUp', { alt: true })
    press('ArrowDown')
    expect(pressed).toEqual(['r', 'Shift+ArrowDown', 'Alt+ArrowUp'])
  })

  it('saves with Ctrl+S, also from within a field', () => {
    const { pressed, type } = open()
    type('s', { ctrlKey: true })
    press('s', { ctrl: true })
    expect(pressed).toEqual(['Ctrl+s', 'Ctrl+s'])
  })

  it('turns the clock by an hour with comma and full stop, and with Shift by a day, within the day', async () => {
    open()
    const moment = () => store.getState().view.moment
    await until(() => {
      press('.')
      return moment()
    })
    const { localMin, on } = moment()!
    press(',')
    await until(() => moment()?.localMin === localMin - 60)
    fireEvent.keyDown(document.body, { key: '>', code: 'Period', shiftKey: true })
    await until(() => moment()?.on === new Date(Date.parse(on) + 86_400_000).toISOString().slice(0, 10))
    fireEvent.keyDown(document.body, { key: '<', code: 'Comma', shiftKey: true })
    await until(() => moment()?.on === on)
    act(() => void store.dispatch(chooseMoment({ ...moment()!, localMin: 1430 })))
    press('.')
    expect(moment()?.localMin).toBe(1430)
    act(() => void store.dispatch(chooseMoment(null)))
  })

  it('takes a key that means something, and no other', () => {
    open()
    const sent = (init: KeyboardEventInit) => !fireEvent.keyDown(document.body, init)
    expect(sent({ key: 'r' })).toBe(true)
    expect(sent({ key: 'k', ctrlKey: true })).toBe(true)
    expect(sent({ key: 'q' })).toBe(false)
    expect(sent({ key: 'q', ctrlKey: true })).toBe(false)
    expect(sent({ key: 'q', altKey: true })).toBe(false)
    expect(sent({ key: 'ArrowUp', altKey: true })).toBe(true)
  })

  it('leaves Enter to what it presses', () => {
    const { pressed } = open()
    fireEvent.keyDown(screen.getByText('Moment'), { key: 'Enter' })
    expect(pressed).toEqual([])
    press('Enter')
    expect(pressed).toEqual(['Enter'])
  })

  it('finds with /, acts with Ctrl+K, shows the keys with ?', () => {
    open()
    press('/')
    expect(store.getState().view.finding).toBe('anything')
    press('K', { ctrl: true })
    expect(store.getState().view.finding).toBe('actions')
    press('?')
    expect(store.getState().view.showKeys).toBe(true)
  })

  it('goes to the moment with w and into the drawing with d', () => {
    open()
    press('w')
    expect(document.activeElement?.id).toBe('moment')
    press('D')
    expect(document.activeElement?.textContent).toBe('Mark')
  })

  it('is silent in a dialog', () => {
    const { pressed } = open()
    fireEvent.keyDown(screen.getByText('Asked'), { key: 'r' })
    expect(pressed).toEqual([])
  })

  it('minds no single key where those are turned off, and still goes by Alt and a digit', async () => {
    const { at, pressed } = open({ single: false })
    press('r')
    press('4')
    expect(pressed).toEqual([])
    expect(at()).toBe('/')
    fireEvent.keyDown(document.body, { key: '4', code: 'Digit4', altKey: true })
    await until(() => at() === '/patterns')
  })

  it('undoes the last action with Ctrl+Z, but not in a field', async () => {
    let send: ReturnType<typeof useCommand> | undefined
    function Sender() {
      send = useCommand()
      return null
    }
    show(<Sender />)
    const boxId = newId<never>()
    const made = await send?.('boxCreate', { boxId, name: 'Undone', note: '', compartments: [{ id: newId<never>(), row: 1, column: 1, label: 'U', capacity: 1 }] }) // prettier-ignore
    if (made?.kind !== 'done') throw new Error('not made')
    const { type } = open({ lastActionId: made.result.actionId ?? '' })
    const names = async () => (await asked.boxes()).boxes.map(({ name }) => name)
    type('z', { ctrlKey: true })
    press('z', { ctrl: true, shift: true })
    expect(await names()).toContain('Undone')
    press('z', { ctrl: true })
    await until(async () => !(await names()).includes('Undone'))
  })
})
