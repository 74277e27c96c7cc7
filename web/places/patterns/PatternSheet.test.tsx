// @vitest-environment jsdom
import { act, fireEvent, screen } from '@testing-library/react'
import { createElement, useState } from 'react'
import { describe, expect, it } from 'vitest'
import { PATHS } from '../../../contract/paths.ts'
import { PRIOR_DRAG_SD_LOG } from '../../../core/index.ts'
import { ColumnContext } from '../../column/marks.ts'
import type { ColumnContent } from '../../column/marks.ts'
import { draftOf } from '../../recipe/draft.ts'
import { keptDraft, keptDrafts } from '../../recipe/keptDraft.ts'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { asked } from '../../testing/asked.ts'
import { heldBack } from '../../testing/meanwhile.ts'
import { onTheDemo, show, until, callHook } from '../../testing/onThePage.tsx'
import { write } from '../../testing/write.ts'
import { makePlaceActions, PlaceActionsContext } from '../../ui/shortcuts.ts'
import { api } from '../../wire/api.ts'
import { store } from '../../wire/store.ts'
import PatternSheet from './PatternSheet.tsx'
import { KeptDrafts } from './KeptDrafts.tsx'
import { useDraft } from './useDraft.ts'
import { useFlyReport } from './useFlyReport.ts'
import { versionOf } from './useSavePattern.ts'

onTheDemo()

const NONE: readonly never[] = []

/** The sheet of a pattern, with what hangs in the Column and which keys it has. */
async function sheet(name: string, label?: string) {
  const pattern = await asked.pattern(name)
  const variant = pattern.variants.find((one) => one.label === label) ?? pattern.variants[0]!
  let content: ColumnContent | null = null
  const actions = makePlaceActions()
  function Around() {
    const [hang] = useState(() => (next: ColumnContent) => void (content = next))
    return createElement(
      PlaceActionsContext,
      { value: actions },
      createElement(ColumnContext, { value: hang }, createElement(PatternSheet)),
    )
  }
  const { router } = show(<Around />, { path: '/patterns/:patternId', at: `/patterns/${pattern.id}?variant=${variant.id}` }) // prettier-ignore
  await until(() => (content?.fall ? content : null))
  const action = (wanted: string) => actions.now().find(({ key }) => key === wanted)
  const press = (key: string) => act(() => action(key)?.go())
  const chosen = () => new URLSearchParams(router.state.location.search).get('variant')
  return { pattern, variant, column: () => content!, action, press, chosen }
}

describe('a pattern’s fall in the Column', () => {
  it('marks seconds down to the bed, each deeper, within its band, none crowding another', async () => {
    const { column } = await sheet('Third Button')
    const seconds = column().fall!.seconds
    const bedMm = 900
    expect(seconds.length).toBeGreaterThan(1)
    expect(seconds[0]!.timeS).toBe(1)
    seconds.forEach(({ depthMm, lowMm, highMm, timeS }, i) => {
      expect(lowMm).toBeLessThan(depthMm)
      expect(highMm).toBeGreaterThan(depthMm)
      expect(highMm).toBeLessThanOrEqual(bedMm)
      expect(depthMm - (seconds[i - 1]?.depthMm ?? 0)).toBeGreaterThan(0.06 * bedMm)
      expect(timeS).toBeLessThanOrEqual(12)
    })
  })

  it('hangs its sisters where two seconds take them, and leads to them', async () => {
    const { column, pattern, variant } = await sheet('Third Button')
    const sisters = column().flies!
    expect(sisters.map(({ names }) => names[0])).toEqual(['#18 W 2.4', '#14 W 3.3', '#16 B 2.8', '#16 no bead'])
    expect(sisters.some(({ id }) => id === variant.id)).toBe(false)
    for (const mark of sisters) {
      const { figure } = pattern.variants.find(({ id }) => id === mark.id)!
      const two = Math.min(2 * figure.trailingSpeedMmPerS!, 900)
      expect(mark.toMm).toBeCloseTo(two, 6)
      expect(mark.fromMm).toBeCloseTo(Math.max(two - 30, 0), 6)
      expect(mark.to).toBe(`/patterns/${pattern.id}?variant=${mark.id}`)
    }
    expect(column().foods).toEqual(pattern.serves.map(({ foodStageId }) => foodStageId))
  })

  it('says of a fly that floats that it does', async () => {
    const { column } = await sheet('Kettle Lid')
    expect(column().fall!.seconds).toEqual([])
    expect(column().flies!.map(({ words, fromMm, toMm }) => ({ words, fromMm, toMm }))[0]).toEqual({ words: 'hanging below the film', fromMm: 0, toMm: 0 }) // prettier-ignore
  })
})

describe('a pattern’s figures', () => {
  it('wait for what was measured, so that none is seen that is another one then', async () => {
    store.dispatch(api.util.resetApiState())
    let answer: () => void = () => undefined
    const held = new Promise<void>((resolve) => (answer = resolve))
    const { fetch } = globalThis
    globalThis.fetch = async (asked, options) => {
      if ((asked as Request).url.endsWith('/api/measurements')) await held
      return fetch(asked, options)
    }
    const pattern = await asked.pattern('Third Button')
    const draft = draftOf(pattern)
    const { result } = callHook(() => {
      const book = useMaterialBook(NONE)
      return { book, worked: useFlyReport(draft, draft.variants[0], book, 10) }
    }, undefined)
    await until(() => result.current.book)
    expect(result.current.worked).toBeNull()
    answer()
    const worked = await until(() => result.current.worked)
    expect('report' in worked && worked.calibration.dragSdLog).toBeLessThan(PRIOR_DRAG_SD_LOG)
    globalThis.fetch = fetch
  })
})

describe('climbing the beads', () => {
  it('thinks of the next heavier, shows it as a ghost with what changes, and lets go of it', async () => {
    const { column, press, action } = await sheet('Third Button')
    expect(action('Enter')).toBeUndefined()
    press('Alt+ArrowDown')
    const ghost = await until(() => (column().fall!.ghost.length > 0 ? column().fall!.ghost : null))
    expect(ghost[0]!.depthMm).toBeGreaterThan(column().fall!.seconds[0]!.depthMm)
    expect(screen.getAllByText(/2\.8 tungsten →/).length).toBeGreaterThan(0)
    press('Escape')
    expect(column().fall!.ghost).toEqual([])
    press('Alt+ArrowUp')
    const lighter = await until(() => (column().fall!.ghost.length > 0 ? column().fall!.ghost : null))
    expect(lighter[0]!.depthMm).toBeLessThan(column().fall!.seconds[0]!.depthMm)
  })

  it('goes on thinking of a bead that nobody has while the stores change', async () => {
    const { column, press } = await sheet('Third Button')
    const sizes = new Set<number>()
    // down to the heaviest that there is
    for (let before = -1; sizes.size > before;) {
      before = sizes.size
      press('Alt+ArrowDown')
      sizes.add((await until(() => column().fall!.ghost[0])).depthMm)
    }
    const [heaviest] = column().fall!.ghost
    const { materials } = await asked.stores()
    const bead = materials.find(({ kind }) => kind === 'bead')!
    await write('materialEntry', { materialId: bead.id, cause: 'bought', amount: 1 })
    await asked.stores()
    await until(
      async () => (await asked.stores()).materials.find(({ id }) => id === bead.id)!.onHand !== bead.onHand,
    )
    expect(column().fall!.ghost[0]).toEqual(heaviest)
  })

  it('goes to the bead whose fall passes where a second mark is dragged to', async () => {
    const { column } = await sheet('Third Button')
    const one = column().fall!.seconds[0]!
    act(() => column().fall!.onDrag?.(1, 1.25 * one.depthMm))
    const ghost = await until(() => (column().fall!.ghost.length > 0 ? column().fall!.ghost : null))
    expect(ghost[0]!.depthMm).toBeGreaterThan(1.1 * one.depthMm)
    act(() => column().fall!.onDrag?.(1, one.depthMm))
    await until(() => column().fall!.ghost.length === 0)
  })

  it('makes what is thought of, or goes to the sister that is tied so already', async () => {
    const { pattern, press, chosen } = await sheet('Third Button')
    press('Alt+ArrowUp')
    press('Enter')
    const id = await until(() => (chosen() !== pattern.variants[0]!.id ? chosen() : null))
    const isKnown = pattern.variants.some((one) => one.id === id)
    const draft = isKnown ? pattern : await until(() => keptDraft(pattern.id))
    expect(draft.variants.map((one) => one.id)).toContain(id)
    expect(draft.variants).toHaveLength(pattern.variants.length + (isKnown ? 0 : 1))
  })

  it('does not climb where there is no bead', async () => {
    const { column, press } = await sheet('Kettle Lid')
    expect(column().fall!.onDrag).toBeNull()
    press('Alt+ArrowDown')
    expect(column().fall!.ghost).toEqual([])
  })
})

describe('taking up the shears', () => {
  it('cuts where the trim line is dragged to, says what that makes of it, and makes it a variant', async () => {
    const { pattern, column, press, chosen } = await sheet('Smoke Ring')
    const { clearMm, onDrag, ghostMm } = await until(() => column().trim)
    expect(ghostMm).toBeNull()
    act(() => onDrag?.(0.55 * clearMm))
    const cutMm = await until(() => column().trim?.ghostMm)
    expect(cutMm).toBeLessThan(0.8 * clearMm)
    expect(screen.getByRole('status', { name: 'A cut' }).textContent).toMatch(/clear where it is/)
    press('Enter')
    const id = await until(() => (chosen() !== pattern.variants[0]!.id ? chosen() : null))
    const draft = await until(() => keptDraft(pattern.id))
    expect(draft.variants.map((one) => one.id)).toContain(id)
    await until(() => column().trim && column().trim!.clearMm < 0.8 * clearMm)
  })

  it('has no trim line on what sinks', async () => {
    const { column } = await sheet('Third Button')
    expect(column().trim).toBeNull()
  })
})

describe('saving a pattern', () => {
  it('saves what was changed and is clean again', async () => {
    const { pattern } = await sheet('Barley Sugar')
    const name = await until(() => screen.queryByLabelText<HTMLInputElement>('Name'))
    fireEvent.change(name, { target: { value: 'Barley Sugar Two' } })
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save' }).disabled).toBe(false)
    fireEvent.click(screen.getByRole('button', { name: 'Save' }))
    await until(
      async () => (await asked.pattern('Barley Sugar Two').catch(() => null))?.version === pattern.version + 1,
    )
    await until(() => keptDraft(pattern.id) === null)
  })

  it('keeps what is changed while it is on its way, unsaved yet, and saves that next', async () => {
    const { pattern } = await sheet('Quarter Past')
    const name = await until(() => screen.queryByLabelText<HTMLInputElement>('Name'))
    const save = screen.getByRole<HTMLButtonElement>('button', { name: 'Save' })
    fireEvent.change(name, { target: { value: 'Half Past' } })
    await heldBack(PATHS.command, async (letGo) => {
      fireEvent.click(save)
      await until(() => save.disabled)
      fireEvent.change(name, { target: { value: 'Half Past Two' } })
      letGo()
      await until(async () => (await asked.pattern('Half Past').catch(() => null))?.version === pattern.version + 1)
    })
    await until(() => !save.disabled)
    expect(name.value).toBe('Half Past Two')
    fireEvent.click(save)
    await until(async () => (await asked.pattern('Half Past Two').catch(() => null))?.version === pattern.version + 2)
    await until(() => save.disabled && screen.queryByText('not saved') === null)
    expect(name.value).toBe('Half Past Two')
  }) // prettier-ignore

  it('refuses a name that is taken, at the name', async () => {
    await sheet('Paper Lantern')
    const name = await until(() => screen.queryByLabelText<HTMLInputElement>('Name'))
    fireEvent.change(name, { target: { value: 'Third Button' } })
    fireEvent.click(screen.getByRole('button', { name: 'Save' }))
    const fault = await until(() => name.getAttribute('aria-invalid') === 'true' && name)
    expect(fault.value).toBe('Third Button')
    fireEvent.change(name, { target: { value: '  ' } })
    expect(screen.getByText('Give it a name.')).toBeDefined()
  })

  it('is not done past an amount that is not understood: the focus goes there', async () => {
    const { pattern } = await sheet('Wet Slate')
    const name = await until(() => screen.queryByLabelText<HTMLInputElement>('Name'))
    fireEvent.change(name, { target: { value: 'Wet Slate Two' } })
    fireEvent.click(await until(() => screen.queryAllByRole('button', { name: /turns/ })[0]))
    const amount = await until(() => screen.queryByLabelText<HTMLInputElement>('Turns'))
    const kept = amount.value
    fireEvent.change(amount, { target: { value: 'a few' } })
    fireEvent.click(screen.getByRole('button', { name: 'Save' }))
    expect(document.activeElement).toBe(amount)
    expect((await asked.pattern('Wet Slate')).version).toBe(pattern.version)
    fireEvent.change(amount, { target: { value: kept } })
    fireEvent.click(screen.getByRole('button', { name: 'Save' }))
    await until(async () => (await asked.pattern('Wet Slate Two').catch(() => null))?.version)
  })

  it('knows the version of the row that stands against it', () => {
    const problem = { code: 'stale', detail: '', fields: [] } as never
    expect(versionOf({ ...(problem as object), current: { version: 7 } } as never)).toBe(7)
    for (const current of [undefined, null, 7, {}, { version: '7' }])
      expect(versionOf({ ...(problem as object), current } as never)).toBeNull()
  })
})

describe('useDraft', () => {
  it('keeps what was typed a moment after it was, and at once when the page is left', async () => {
    const pattern = await asked.pattern('Damp Straw')
    const { result } = callHook(() => useDraft(pattern, false, null), undefined)
    expect(result.current.dirty).toBe(false)
    act(() => result.current.change({ note: 'Two turns less.' }))
    expect(result.current.dirty).toBe(true)
    expect(keptDraft(pattern.id)).toBeNull()
    await until(() => keptDraft(pattern.id)?.note === 'Two turns less.')
    act(() => result.current.change((before) => ({ note: `${before.note} Or three.` })))
    window.dispatchEvent(new Event('pagehide'))
    expect(keptDraft(pattern.id)?.note).toBe('Two turns less. Or three.')
  })

  it('takes up what was kept, unsaved as it was, and lets go of it when it is given up', async () => {
    const pattern = await asked.pattern('Damp Straw')
    const first = callHook(() => useDraft(pattern, false, null), undefined)
    act(() => first.result.current.change({ note: 'Kept.' }))
    first.unmount()
    const { result } = callHook(() => useDraft(pattern, false, null), undefined)
    expect(result.current).toMatchObject({ dirty: true, draft: { note: 'Kept.' } })
    act(() => result.current.reset(result.current.draft!))
    expect(result.current.dirty).toBe(false)
    expect(keptDraft(pattern.id)).toBeNull()
  })

  it('is empty for a new pattern, which it keeps apart from all others, and waits for one that has not come', () => {
    const { result } = callHook(() => useDraft(undefined, true, null), undefined)
    expect(result.current.draft?.version).toBeNull()
    act(() => result.current.change({ name: 'New' }))
    window.dispatchEvent(new Event('pagehide'))
    expect(keptDraft(result.current.draft?.patternId ?? '')?.name).toBe('New')
    expect(callHook(() => useDraft(undefined, false, null), undefined).result.current.draft).toBeNull()
  })

  it('begins empty each time, while those that were begun wait by name until they are gone on with or thrown away', () => {
    const begin = (name: string) => {
      const begun = callHook(() => useDraft(undefined, true, null), undefined)
      expect(begun.result.current.draft?.name).toBe('')
      act(() => begun.result.current.change({ name }))
      begun.unmount()
      return begun.result.current.draft?.patternId ?? ''
    }
    const [second, first] = [begin('Second of two'), begin('First of two')]
    expect(keptDrafts().map(({ name }) => name)).toEqual(
      expect.arrayContaining(['First of two', 'Second of two']),
    )
    const goneOn = callHook(() => useDraft(undefined, true, second), undefined)
    expect(goneOn.result.current).toMatchObject({ dirty: true, draft: { name: 'Second of two' } })
    goneOn.unmount()
    show(<KeptDrafts />)
    fireEvent.click(screen.getByRole('button', { name: 'Throw away: First of two' }))
    expect(keptDraft(first)?.name).toBe('First of two')
    fireEvent.click(screen.getByRole('button', { name: 'For good' }))
    expect(keptDraft(first)).toBeNull()
    expect(screen.queryByRole('link', { name: 'Go on with First of two' })).toBeNull()
    expect(screen.getByRole('link', { name: 'Go on with Second of two' }).getAttribute('href')).toBe(
      `/patterns/new?draft=${second}`,
    )
  })

  it('has the goods of its new drawers when it is taken up on a page that never asked for them', async () => {
    const { result: listed } = callHook(() => useMaterialBook(NONE), undefined)
    const families = (await until(() => listed.current)).families
    const flash = families.find(({ name }) => name === 'Metallised braided tube')!
    const drawer = { id: 'd', familyId: flash.id as string, sizeKey: '', colourName: 'pearl' }
    const drawers = [drawer]
    const { result } = callHook(() => useMaterialBook(drawers), undefined)
    await until(() => result.current?.materials.get(drawer.id))
    expect(result.current?.materials.get(drawer.id)?.family.name).toBe(flash.name)
  })

  it('leaves nothing behind that was not changed', async () => {
    const pattern = await asked.pattern('Damp Straw')
    const { unmount } = callHook(() => useDraft(pattern, false, null), undefined)
    unmount()
    expect(keptDraft(pattern.id)).toBeNull()
  })
})
