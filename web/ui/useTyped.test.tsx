// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { useTyped } from './useTyped.ts'

/** A field over what is kept, and what it asked to save. */
function field(kept: string, judging: Parameters<typeof useTyped>[2] = {}, refused: string | null = null) {
  const saved: string[] = []
  const save = (text: string) => {
    saved.push(text)
    return Promise.resolve(refused)
  }
  const { result, rerender } = renderHook(({ now }) => useTyped(now, save, judging), {
    initialProps: { now: kept },
  })
  return {
    saved,
    shown: () => result.current.value,
    fault: () => result.current.fault,
    answered: () => act(() => Promise.resolve()),
    type: (text: string) => act(() => result.current.onChange(text)),
    leave: () => act(() => result.current.onBlur()),
    keep: (text: string) => rerender({ now: text }),
  }
}

describe('a text that is saved where it stands', () => {
  it('is saved when its field is left, once, and shown until it is kept', () => {
    const note = field('brown')
    expect(note.shown()).toBe('brown')
    note.type('olive')
    expect([note.shown(), note.saved]).toEqual(['olive', []])
    note.leave()
    expect([note.shown(), note.saved]).toEqual(['olive', ['olive']])
    note.keep('Olive')
    expect(note.shown()).toBe('Olive')
    note.leave()
    expect(note.saved).toEqual(['olive'])
  })

  it('is not saved where nothing but the room around it has changed', () => {
    const note = field('brown')
    note.leave()
    note.type('  brown ')
    note.leave()
    expect([note.shown(), note.saved]).toEqual(['brown', []])
  })

  it('goes back to what is kept where it cannot be kept', () => {
    const note = field('4', { isGood: (text) => /^\d$/.test(text) })
    note.type('44')
    note.leave()
    expect([note.shown(), note.saved]).toEqual(['4', []])
    note.type('5')
    note.leave()
    expect([note.shown(), note.saved]).toEqual(['5', ['5']])
  })

  it('stays under the hand while another tab changes what is kept', () => {
    const note = field('brown')
    note.type('oli')
    note.keep('grey')
    expect(note.shown()).toBe('oli')
    note.type('olive')
    note.leave()
    expect(note.saved).toEqual(['olive'])
    note.keep('black')
    expect(note.shown()).toBe('black')
  })

  it('is saved again where it is typed again after it was left', () => {
    const note = field('brown')
    note.type('olive')
    note.leave()
    note.leave()
    expect(note.saved).toEqual(['olive'])
    note.type('olive')
    note.leave()
    expect(note.saved).toEqual(['olive', 'olive'])
  })

  it('stays with what is wrong with it, and is not saved, until it is mended', () => {
    const depth = field('90 cm', { faultOf: (text) => (/^\d+ cm$/.test(text) ? undefined : 'How many cm?') })
    expect(depth.fault()).toBeUndefined()
    depth.type('deep')
    depth.leave()
    expect([depth.shown(), depth.fault(), depth.saved]).toEqual(['deep', 'How many cm?', []])
    depth.type('80 cm')
    depth.leave()
    expect([depth.shown(), depth.fault(), depth.saved]).toEqual(['80 cm', undefined, ['80 cm']])
  })

  it('stays with the reason where it was refused, until it is typed anew or something else is kept', async () => {
    const hook = field('18', {}, 'The largest is #14.')
    hook.type('12')
    hook.leave()
    expect(hook.fault()).toBeUndefined()
    await hook.answered()
    expect([hook.shown(), hook.fault()]).toEqual(['12', 'The largest is #14.'])
    hook.leave()
    expect(hook.saved).toEqual(['12'])
    hook.type('16')
    expect([hook.shown(), hook.fault()]).toEqual(['16', undefined])
    hook.leave()
    await hook.answered()
    expect(hook.fault()).toBe('The largest is #14.')
    hook.keep('20')
    expect([hook.shown(), hook.fault()]).toEqual(['20', undefined])
  })

  it('is under the hand again where it is typed on before the refusal comes', async () => {
    const hook = field('18', {}, 'The largest is #14.')
    hook.type('12')
    hook.leave()
    hook.type('1')
    await hook.answered()
    expect([hook.shown(), hook.fault()]).toEqual(['1', undefined])
  })
})
