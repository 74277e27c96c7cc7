// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import { onTheDemo, show } from '../testing/onThePage.tsx'
import { MeasureField } from './MeasureField.tsx'
import { NumberField } from './NumberField.tsx'
import type { NumberFieldProps } from './NumberField.tsx'

onTheDemo()

function field(props: Partial<NumberFieldProps> = {}) {
  const passed: (number | null)[] = []
  function Held() {
    const [value, setValue] = useState<number | null>(props.value ?? 3)
    const onChange = (next: number | null) => {
      passed.push(next)
      setValue(next)
    }
    return <NumberField label="Turns" min={1} max={20} {...props} value={value} onChange={onChange} />
  }
  show(<Held />)
  const box = screen.getByLabelText<HTMLInputElement>('Turns')
  const type = (text: string) => fireEvent.change(box, { target: { value: text } })
  return { passed, box, type, leave: () => fireEvent.blur(box), fault: () => box.getAttribute('aria-invalid') === 'true' }
} // prettier-ignore

describe('NumberField', () => {
  it.each([['4', 4], ['4,5', 4.5], ['5½', 5.5], ['1', 1], ['20', 20]])('passes “%s” on as %f', (text, value) => {
    const { type, passed, fault } = field()
    type(text)
    expect(passed).toEqual([value])
    expect(fault()).toBe(false)
  }) // prettier-ignore

  it.each([
    ['0.9', 'From 1 to 20.'],
    ['20.1', 'From 1 to 20.'],
    ['', 'From 1 to 20.'],
  ])('says what is wrong with “%s” and passes nothing on', (text, sentence) => {
    const { type, passed, fault } = field()
    type(text)
    expect(passed).toEqual([])
    expect(fault()).toBe(true)
    expect(screen.getByText(sentence)).toBeDefined()
  })

  it('says of a text that it is no number, and of what is less than nothing', () => {
    const { type, fault } = field({ min: 0 })
    type('many')
    expect(fault()).toBe(true)
    type('-2')
    expect(fault()).toBe(true)
    expect(screen.queryByText('From 0 to 20.')).toBeNull()
  })

  it('takes whole ones only where there is no half of it', () => {
    const { type, passed } = field({ whole: true })
    type('2.5')
    expect(screen.getByText('Whole ones only.')).toBeDefined()
    type('2')
    expect(passed).toEqual([2])
  })

  it('may be left empty where none is an answer', () => {
    const { type, passed, fault } = field({ mayBeEmpty: true })
    type('')
    expect(passed).toEqual([null])
    expect(fault()).toBe(false)
  })

  it('tells who goes by it that it is not understood, and then what is', () => {
    let unclear = 0
    const { type, passed } = field({ onUnclear: () => (unclear += 1) })
    type('2')
    type('25')
    expect([passed, unclear]).toEqual([[2], 1])
    type('x')
    type('9')
    expect([passed, unclear]).toEqual([[2, 9], 2])
  })

  it('passes on when it is left, where it is saved at once, and only what changed', () => {
    const { type, leave, passed } = field({ whenLeft: true })
    type('7')
    expect(passed).toEqual([])
    leave()
    expect(passed).toEqual([7])
    leave()
    expect(passed).toEqual([7])
  })

  it('keeps what was typed until it is left, then writes it as figures are written', () => {
    const { type, leave, box } = field({ shown: (value) => value.toFixed(1) })
    type('4,50')
    expect(box.value).toBe('4,50')
    leave()
    expect(box.value).toBe('4.5')
    type('bad')
    leave()
    expect(box.value).toBe('bad')
  })
})

describe('MeasureField', () => {
  it('is written and read in the user’s unit, and keeps core’s', () => {
    const passed: (number | null)[] = []
    show(<MeasureField label="Depth" unit="ft" value={1219.2} min={304.8} max={3048} onChange={(mm) => passed.push(mm)} />) // prettier-ignore
    const box = screen.getByLabelText<HTMLInputElement>('Depth, ft')
    expect(box.value).toBe('4')
    fireEvent.change(box, { target: { value: '5' } })
    expect(passed[0]).toBeCloseTo(1524, 6)
    fireEvent.change(box, { target: { value: '11' } })
    expect(screen.getByText('From 1 to 10.')).toBeDefined()
    expect(passed).toHaveLength(1)
  })
})
