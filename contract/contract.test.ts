import { describe, expect, expectTypeOf, it } from 'vitest'
import type { Component, Dressing, DisplayUnits, Place, Proportion, Step, Swap } from '../core/index.ts'
import type { z } from 'zod'
import type { place, proportion, settingsBody, step, swap } from './index.ts'
import { civilDate, component, dressingBody, foldedKey, name, patternId } from './index.ts'

describe('schemas and core agree', () => {
  it('in type, both ways', () => {
    expectTypeOf<z.infer<typeof place>>().toExtend<Place>()
    expectTypeOf<Place>().toExtend<z.input<typeof place>>()
    expectTypeOf<z.infer<typeof proportion>>().toExtend<Proportion>()
    expectTypeOf<Proportion>().toExtend<z.input<typeof proportion>>()
    expectTypeOf<z.infer<typeof component>>().toExtend<Component>()
    expectTypeOf<Component>().toExtend<z.input<typeof component>>()
    expectTypeOf<z.infer<typeof step>>().toExtend<Step>()
    expectTypeOf<z.infer<typeof swap>>().toExtend<Swap>()
    expectTypeOf<z.infer<typeof dressingBody>>().toExtend<Dressing>()
    expectTypeOf<z.infer<typeof settingsBody>['units']>().toExtend<DisplayUnits>()
  })
})

describe('name', () => {
  it('is trimmed, single-spaced and composed', () => {
    expect(name.parse('  Third   Button ')).toBe('Third Button')
    expect(name.parse('Cafe\u0301')).toBe('Café')
  })

  it.each(['', '   ', 'x'.repeat(81), 'a\u0000b'])('refuses %j', (text) => {
    expect(name.safeParse(text).success).toBe(false)
  })

  it('keeps markup as the text it is', () => {
    expect(name.parse('<script>alert(1)</script>')).toBe('<script>alert(1)</script>')
  })

  it('folds case and spaces for comparing', () => {
    expect(foldedKey(' Third  BUTTON')).toBe(foldedKey('third button'))
  })
})

describe('dressingBody', () => {
  const line = {
    key: 'tail',
    kind: 'tail',
    materialId: '0190b3a0-0000-7000-8000-000000000001',
    place: { from: 1, to: 1, side: 'around' },
  }

  it('refuses two components under one key and a place that runs backwards', () => {
    expect(dressingBody.safeParse({ components: [line, line], steps: null }).success).toBe(false)
    const backwards = { ...line, place: { from: 0.8, to: 0.2, side: 'around' } }
    expect(dressingBody.safeParse({ components: [backwards], steps: null }).success).toBe(false)
    expect(dressingBody.safeParse({ components: [line], steps: null }).success).toBe(true)
  })

  it.each([
    [{ turns: -1 }, 'turns'],
    [{ turns: 1e9 }, 'turns'],
    [{ bulk: 2 }, 'bulk'],
    [{ fibreCount: 1.5 }, 'fibreCount'],
    [{ colour: 'red' }, ''],
  ])('refuses %j', (more, field) => {
    const parsed = component.safeParse({ ...line, ...more })
    expect(parsed.success).toBe(false)
    expect(parsed.error?.issues[0]?.path.join('.')).toBe(field)
  })
})

describe('ids and dates', () => {
  it('refuse what is none', () => {
    expect(patternId.safeParse('1').success).toBe(false)
    expect(civilDate.safeParse('2026-02-31').success).toBe(false)
    expect(civilDate.safeParse('2028-02-29').success).toBe(true)
    expect(civilDate.safeParse('2026-13-01').success).toBe(false)
    expect(civilDate.safeParse('6 June').success).toBe(false)
  })
})
