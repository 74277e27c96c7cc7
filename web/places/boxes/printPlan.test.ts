// @vitest-environment jsdom
import { expect, it } from 'vitest'
import type { BoxLine } from '../../../contract/index.ts'
import { boxOnPaper } from './printPlan.ts'

const fly = (patternName: string, count: number, par: number | null) => ({
  patternName,
  label: '#14',
  count,
  par,
})
const box = {
  name: 'River box',
  note: '',
  compartments: [
    {
      row: 0,
      column: 0,
      label: 'Leaf',
      capacity: 6,
      flies: [fly('Barley Sugar', 2, 3), fly('Bell Rope', 1, null)],
    },
    { row: 0, column: 1, label: 'Lid', capacity: null, flies: [] },
    { row: 2, column: 1, label: 'Below', capacity: 3, flies: [fly('<b>', 0, 2)] },
  ],
} as unknown as BoxLine

it('puts a box on paper as it lies open, with what is in it and what it waits for', () => {
  const rows = [...boxOnPaper(box).querySelectorAll('tr')].map((row) =>
    [...row.cells].map((cell) => cell.textContent),
  )
  expect(rows).toEqual([
    ['Leaf · 3 of 6Barley Sugar #14 ■■□ 2Bell Rope #14 ■ 1', 'Lid'],
    ['', 'Below · 0 of 3<b> #14 □□ 0'],
  ])
})
