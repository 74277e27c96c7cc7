// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { PATHS } from '../../../contract/paths.ts'
import { asked } from '../../testing/asked.ts'
import { callHook, onTheDemo, until } from '../../testing/onThePage.tsx'
import { write } from '../../testing/write.ts'
import { store } from '../../wire/store.ts'
import { useRestore } from './useRestore.ts'

onTheDemo()

const parCount = async () => (await asked.frame()).settings.parCount
async function copyNow(): Promise<string> {
  await fetch(PATHS.backupMake, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' })
  const { backups } = (await (await fetch(PATHS.backups)).json()) as {
    backups: { name: string; atMs: number }[]
  }
  return [...backups].sort((a, b) => b.atMs - a.atMs)[0]!.name
}

describe('a copy that is put back', () => {
  it('brings what was there, and the page waits until it is', async () => {
    const before = await parCount()
    const name = await copyNow()
    await write('settingsSave', { change: { parCount: before + 7 } })
    expect(await parCount()).toBe(before + 7)
    const { result } = callHook(() => useRestore(), undefined)
    expect(result.current.restoring).toBe(false)
    let done: Promise<void> | null = null
    act(() => void (done = result.current.restore(name)))
    expect(result.current.restoring).toBe(true)
    await act(() => done!)
    expect(result.current.restoring).toBe(false)
    expect(await until(async () => (await parCount()) === before)).toBe(true)
  })

  it('is refused in words where there is none of that name, and all stays', async () => {
    const before = await parCount()
    const { result } = callHook(() => useRestore(), undefined)
    await act(() => result.current.restore('heavy-thistle-1999-01-01.db'))
    expect(result.current.restoring).toBe(false)
    expect(store.getState().view.trouble).toMatch(/copy/i)
    expect(await parCount()).toBe(before)
  })
})
