// @vitest-environment jsdom
import { act } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { PATHS } from '../../../contract/paths.ts'
import { asked } from '../../testing/asked.ts'
import { callHook, onTheDemo, until } from '../../testing/onThePage.tsx'
import { write } from '../../testing/write.ts'
import { useBenchQuery } from '../../wire/api.ts'
import { useDoneCount } from '../../wire/counted.ts'
import { store } from '../../wire/store.ts'
import { newId } from '../../wire/useCommand.ts'
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

  it('lacks what was counted since, and so does what is shown of it', async () => {
    const [waits] = (await asked.bench()).queue
    await write('batchOnVise', { batchId: waits!.batchId })
    const { onVise } = await asked.bench()
    const name = await copyNow()
    const batch = onVise!.batch
    await write('batchCount', { eventId: newId(), batchId: batch.batchId, kind: 'done', stepKey: null, count: 1, spoiledCause: null }) // prettier-ignore
    const { result } = callHook(() => ({ ...useRestore(), done: useDoneCount(useBenchQuery().data?.onVise?.batch ?? null) }), undefined) // prettier-ignore
    await until(() => result.current.done === batch.done + 1)
    await act(() => result.current.restore(name))
    await until(() => result.current.done === batch.done)
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
