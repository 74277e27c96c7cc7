import { describe, expect, it } from 'vitest'
import { readText } from './readText.ts'

function read(text: string) {
  const work = readText({ text, reading: { dateOrder: 'dayFirst', unit: '°C' } })
  let step = work.next()
  while (!step.done) step = work.next()
  return step.value
}

describe('readText', () => {
  it.each([';', '\t', ',', '|'])('parts cells by %j, however few lines there are', (separator) => {
    const text = [`date${separator}water`, `2026-06-01${separator}9.1`, ''].join('\n')
    expect(read(text).result).toMatchObject({
      kind: 'readings',
      rowsJson: '[[20605,720,910,null,null]]',
      count: 1,
      coldestC: 9.1,
      warmestC: 9.1,
    })
  })

  it('reads decimal commas between semicolons, with an empty last line', () => {
    expect(read('date;water\n2026-06-01;54\n2026-06-02;9,1\n').result).toMatchObject({
      kind: 'faulty',
      good: 1,
      faultCount: 1,
      faults: [{ line: 2, code: 'tooWarm' }],
    })
  })

  it('takes the order of day and month that the dates prove, and says where they prove none', () => {
    expect(read('6/14/2026,9')).toMatchObject({ dateOrder: 'monthFirst', ambiguous: false })
    expect(read('6/4/2026,9')).toMatchObject({ dateOrder: 'dayFirst', ambiguous: true })
    expect(read('2026-04-06,9').ambiguous).toBe(false)
  })
})
