import type { KeyboardEvent } from 'react'
import { describe, expect, it } from 'vitest'
import { wording } from '../../../core/index.ts'
import type { Check } from './FirstFly.tsx'
import type { useViseActions } from './useViseActions.ts'
import { viseKeys } from './viseKeys.ts'

const ACTIONS = ['next', 'back', 'done', 'spoiled', 'pause'] as const

/** What a key does at the vise: the action's name, the cause that is said, or the check that opens. */
function pressed(key: string, given: { spoiledId?: string; check?: Check | null; ctrlKey?: boolean } = {}) {
  const done: string[] = []
  const actions = {
    ...Object.fromEntries(ACTIONS.map((name) => [name, () => done.push(name)])),
    say: (cause: string) => done.push(cause),
    spoiledId: given.spoiledId ?? null,
  } as unknown as ReturnType<typeof useViseActions>
  let kept = false
  const target = {}
  viseKeys(actions, given.check ?? null, (check) => done.push(`check ${check ?? 'closed'}`))({
    key, target, currentTarget: target, ctrlKey: given.ctrlKey ?? false, metaKey: false, altKey: false,
    preventDefault: () => (kept = true), stopPropagation: () => undefined,
  } as unknown as KeyboardEvent) // prettier-ignore
  return { done, kept }
}

describe('the keys at the vise', () => {
  it.each([
    [' ', 'next'],
    ['PageDown', 'next'],
    ['ArrowRight', 'next'],
    ['Backspace', 'back'],
    ['PageUp', 'back'],
    ['c', 'done'],
    ['C', 'done'],
    ['x', 'spoiled'],
    ['p', 'pause'],
    ['t', 'check time'],
    ['g', 'check weigh'],
  ])('%j does %s, and nothing of the browser’s', (key, action) => {
    expect(pressed(key)).toEqual({ done: [action], kept: true })
  })

  it('say by a digit why the last fly is spoiled, while there is one to say it of', () => {
    expect(pressed('1', { spoiledId: 'e' }).done).toEqual([wording.SPOILED_CAUSES[0]])
    expect(pressed('8', { spoiledId: 'e' }).done).toEqual([wording.SPOILED_CAUSES[7]])
    expect(pressed('9', { spoiledId: 'e' })).toEqual({ done: [], kept: false })
    expect(pressed('1')).toEqual({ done: [], kept: false })
  })

  it('close a check that is open, and leave the browser its own', () => {
    expect(pressed('t', { check: 'time' }).done).toEqual(['check closed'])
    expect(pressed('c', { ctrlKey: true })).toEqual({ done: [], kept: false })
    expect(pressed('q')).toEqual({ done: [], kept: false })
  })
})
