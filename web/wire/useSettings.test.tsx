// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { changedSettings } from '../../contract/changedSettings.ts'
import { defaultSettings, settingsChange } from '../../contract/index.ts'
import { asked } from '../testing/asked.ts'
import { onTheDemo, until, callHook } from '../testing/onThePage.tsx'
import { waitingWrites } from './outbox/sender.ts'
import { store } from './store.ts'
import { useSettings } from './useSettings.ts'

onTheDemo()

describe('changedSettings', () => {
  it('changes what is named, also within units, evenings and cover, and nothing else', () => {
    const change = {
      parCount: 5,
      units: { depth: 'ft' },
      evenings: { minutes: 45 },
      cover: { anchors: 1 },
    } as const
    expect(changedSettings(defaultSettings, change)).toEqual({
      ...defaultSettings,
      parCount: 5,
      units: { ...defaultSettings.units, depth: 'ft' },
      evenings: { ...defaultSettings.evenings, minutes: 45 },
      cover: { ...defaultSettings.cover, anchors: 1 },
    })
    expect(changedSettings(defaultSettings, { parCount: undefined })).toEqual(defaultSettings)
  })

  it('takes the weight code away where it is said to be none', () => {
    const code = { marks: { tungsten: 'red', brass: null, none: null }, on: ['everything' as const] }
    const coded = changedSettings(defaultSettings, { weightCode: code })
    expect(coded.weightCode).toEqual(code)
    expect(changedSettings(coded, { weightCode: null }).weightCode).toBeNull()
  })

  it.each([{ parCount: 0 }, { units: { depth: 'fathom' } }, { evenings: { minutes: 4 } }, { cover: { size: true } }, { colour: 'red' }])('is refused for %o', (change) => {
    expect(settingsChange.safeParse(change).success).toBe(false)
  }) // prettier-ignore
})

describe('useSettings', () => {
  it('keeps every one of several quick changes, shows each at once, and leaves the rest', async () => {
    const { result } = callHook(() => useSettings(), undefined)
    const before = await until(() => result.current.settings)
    act(() => {
      result.current.change({ units: { depth: 'ft' } })
      result.current.change({ units: { mass: 'gr' } })
      result.current.change({ parCount: 7 })
      result.current.change({ evenings: { minutes: 35 } })
    })
    const wanted = changedSettings(before, {
      units: { depth: 'ft', mass: 'gr' },
      parCount: 7,
      evenings: { minutes: 35 },
    })
    expect(result.current.settings).toEqual(wanted)
    await until(() => waitingWrites().length === 0)
    expect((await asked.frame()).settings).toEqual(wanted)
    expect(result.current.settings).toEqual(wanted)
    expect(store.getState().view.trouble).toBeNull()
  })

  it('goes back to what the server has where it refuses', async () => {
    const { result } = callHook(() => useSettings(), undefined)
    const before = await until(() => result.current.settings)
    act(() => void result.current.change({ parCount: 1000 }))
    expect(result.current.settings?.parCount).toBe(1000)
    await until(() => result.current.settings?.parCount === before.parCount)
    expect(store.getState().view.trouble).not.toBeNull()
  })
})
