// @vitest-environment jsdom
import { afterEach, describe, expect, it } from 'vitest'
import { defaultSettings } from '../../../../contract/index.ts'
import type { RigPart } from '../../../../core/index.ts'
import { printRig, rigOnPaper } from './printRig.ts'

const PARTS: readonly RigPart[] = [
  { kind: 'tippet', lengthMm: 2000, diameterMm: 0.25, stuff: 'nylon' },
  { kind: 'tippet', lengthMm: 900, diameterMm: 0.14, stuff: 'fluorocarbon' },
  { kind: 'point', fly: 'third-button' },
]
const nameOf = (fly: string) => (fly === 'third-button' ? 'Third Button #16' : fly)
const rig = { name: 'Two metres', note: '', parts: PARTS }
const { units } = defaultSettings

describe('a rig on paper', () => {
  it('has a row for each part from the rod to the point, with the knot below it and what that holds', () => {
    const page = rigOnPaper(rig, nameOf, units, '', null)
    expect(page.querySelector('h1')?.textContent).toBe('Two metres')
    const rows = [...page.querySelectorAll('tr')].map((row) =>
      [...row.cells].map((cell) => cell.textContent ?? ''),
    )
    expect(rows.map(([part]) => part)).toEqual([
      expect.stringContaining('2'),
      expect.stringContaining('0.14'),
      expect.stringContaining('Third Button #16'),
    ])
    expect(rows[0]![1]).toMatch(/kg/)
    expect(rows[1]![1]).toMatch(/kg/)
    expect(rows[2]![1]).toBe('')
  })

  it('names a knot that was chosen in the place of the usual one, as no part of its own', () => {
    const chosen = rigOnPaper(
      { ...rig, parts: [PARTS[0]!, { kind: 'knot', knot: 'surgeon' }, ...PARTS.slice(1)] },
      nameOf, units, '', null,
    ) // prettier-ignore
    expect(chosen.querySelectorAll('tr')).toHaveLength(3)
    expect(chosen.querySelector('td:last-child')?.textContent).toMatch(/surgeon/i)
  })

  it('says what goes first and what was noted, where there is something to say', () => {
    expect(rigOnPaper(rig, nameOf, units, '', null).querySelectorAll('p')).toHaveLength(0)
    const said = rigOnPaper({ ...rig, note: 'mind the knot' }, nameOf, units, 'The point goes first.', null)
    expect([...said.querySelectorAll('p')].map(({ textContent }) => textContent)).toEqual([
      'The point goes first.',
      'mind the knot',
    ])
  })

  it('bears its picture, which stays on the page too', () => {
    document.body.innerHTML = '<svg id="drawn"><path /></svg>'
    const drawn = document.getElementById('drawn')!
    const page = rigOnPaper(rig, nameOf, units, '', drawn as unknown as Element)
    expect(page.querySelector('svg path')).not.toBeNull()
    expect(document.body.contains(drawn)).toBe(true)
  })
})

describe('printing a rig', () => {
  const { print } = window
  afterEach(() => {
    window.print = print
    document.body.innerHTML = ''
  })

  it('puts it on the page while it is printed, and takes it away after', () => {
    let printed = ''
    window.print = () => (printed = document.querySelector('.printed h1')?.textContent ?? '')
    printRig(rig, nameOf, units, '', null)
    expect(printed).toBe('Two metres')
    expect(document.querySelector('.printed')).not.toBeNull()
    window.dispatchEvent(new Event('afterprint'))
    expect(document.querySelector('.printed')).toBeNull()
  })
})
