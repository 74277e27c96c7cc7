// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { PATHS } from '../../../../contract/paths.ts'
import type { DrillsView } from '../../../../contract/index.ts'
import { away, heldBack } from '../../../testing/meanwhile.ts'
import { onTheDemo, show, until } from '../../../testing/onThePage.tsx'
import { api } from '../../../wire/api.ts'
import { flush, waitingWrites } from '../../../wire/outbox/sender.ts'
import { store } from '../../../wire/store.ts'
import Drills from './Drills.tsx'

onTheDemo()

const row = (name: string) => screen.getByRole('row', { name: new RegExp(name) })
const start = (name: string) => within(row(name)).getByRole<HTMLButtonElement>('button')
const choices = () => within(screen.getByRole('group', { name: 'Your answer' })).getAllByRole('button')
const next = () => screen.queryByRole('button', { name: 'Next' })
const standings = async () => ((await (await fetch(PATHS.drills)).json()) as DrillsView).standings

describe('drills', () => {
  it('claim no lack of an outing while the next one is still read', async () => {
    store.dispatch(api.util.resetApiState())
    await heldBack(PATHS.outings, async (letGo) => {
      show(<Drills />)
      await until(() => screen.queryByRole('row', { name: /Which fly for these signs/ }))
      expect(start('Which fly for these signs').disabled).toBe(true)
      expect(row('Which fly for these signs').textContent).not.toMatch(/Plan an outing/)
      expect(start('The beat of a rise').disabled).toBe(false)
      letGo()
      await until(() => !start('Which fly for these signs').disabled)
    })
    expect(row('Which fly for these signs').textContent).toMatch(/not begun/)
  })

  it('say at the end what was missed, and ask that first the next time', async () => {
    show(<Drills />)
    await until(() => screen.queryByRole('row', { name: /The beat of a rise/ }))
    fireEvent.click(start('The beat of a rise'))
    let missed = 0
    for (let n = 0; n < 12 && (missed === 0 || n < 3); n += 1) {
      fireEvent.click(choices()[0]!)
      if (screen.queryByText('Not so.')) missed += 1
      fireEvent.click(next()!)
    }
    fireEvent.click(screen.getByRole('button', { name: 'Stop' }))
    expect(missed).toBeGreaterThan(0)
    expect(screen.getByRole('status').textContent).toMatch(/^Missed, and asked again first/)
    const kept = await until(async () => (await standings()).theBeat)
    expect(kept.some(({ isMissed }) => isMissed)).toBe(true)
    fireEvent.click(screen.getByRole('button', { name: 'Drills' }))
    await until(() => /missed/.test(row('The beat of a rise').textContent ?? ''))
  })

  it('keep what was answered where the page is closed within one', async () => {
    show(<Drills />)
    await until(() => screen.queryByRole('row', { name: /Dun or spent/ }))
    await away(async () => {
      fireEvent.click(start('Dun or spent'))
      fireEvent.click(choices()[1]!)
      expect(waitingWrites()).toEqual([])
      window.dispatchEvent(new Event('pagehide'))
      expect(waitingWrites().map(({ kind }) => kind)).toEqual(['drillDone'])
      // leaving it after that keeps nothing twice
      fireEvent.click(screen.getByRole('button', { name: 'Stop' }))
      expect(waitingWrites()).toHaveLength(1)
    })
    await flush()
    expect((await until(async () => (await standings()).dunOrSpent)).length).toBe(1)
  })
})
