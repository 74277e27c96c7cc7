// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { useTyped } from './useTyped.ts'

/** A field over what is kept, and what it asked to save. */
function field(kept: string, isGood?: (text: string) => boolean) {
  const saved: string[] = []
  const { result, rerender } = renderHook(({ now }) => useTyped(now, (text) => saved.push(text), isGood), {
    initialProps: { now: kept },
  })
  return {
    saved,
    shown: () => result.current.value,
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
    const note = field('4', (text) => /^\d$/.test(text))
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
    note.type('olive')
    note.leave()
    expect(note.saved).toEqual(['olive', 'olive'])
  })
})
