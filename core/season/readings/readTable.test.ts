import { describe, expect, it } from 'vitest'
import { epochDayOf } from '../calendar.ts'
import { provenDateOrder, readTable } from './index.ts'
import type { TableReading } from './index.ts'

const cells = (text: string, separator = ',') => text.split('\n').map((line) => line.split(separator))
const celsius: TableReading = { dateOrder: 'dayFirst', unit: '°C' }
const read = (text: string, reading: Partial<TableReading> = {}, separator = ',') =>
  readTable(cells(text, separator), { ...celsius, ...reading })

describe('readTable', () => {
  it.each([
    ['a date and a figure', '2026-06-03,12.4', ',', {}],
    ['a line of names', 'date,water temp\n2026-06-03,12.4', ',', {}],
    ['semicolons and a decimal comma', 'Datum;Temperatur\n03.06.2026;12,4', ';', {}],
    ['another order of columns', 'temp;station;day\n12.4;7;03/06/2026', ';', {}],
    ['month first', '06/03/2026,12.4', ',', { dateOrder: 'monthFirst' as const }],
    ['Fahrenheit by choice', '2026-06-03,54.32', ',', { unit: '°F' as const }],
    ['Fahrenheit in the cell', '2026-06-03,54.32 °F', ',', {}],
  ])('reads %s', (_, text, separator, reading) => {
    const found = read(text, reading, separator)
    expect(found).toMatchObject({ kind: 'readings', rows: [[epochDayOf('2026-06-03'), 720, 1240]] })
  })

  it.each([
    ['2026-06-03T14:30,12.4', 870],
    ['2026-06-03 14:30:00,12.4', 870],
    ['03/06/2026,14:30,12.4', 870],
    ['03/06/2026,2:30 pm,12.4', 870],
    ['03/06/2026 00:15,12.4', 15],
  ])('reads the time of %s', (text, minute) => {
    expect(read(text)).toMatchObject({ kind: 'readings', rows: [[epochDayOf('2026-06-03'), minute, 1240]] })
  })

  it('sorts what is out of order, and says so', () => {
    const found = read('2026-06-05,12\n2026-06-03,11\n2026-06-04,11.5')
    expect(found).toMatchObject({ kind: 'readings', outOfOrder: 1, firstDay: epochDayOf('2026-06-03') })
    expect(found.kind === 'readings' && found.rows.map(([day]) => day - epochDayOf('2026-06-03'))).toEqual([
      0, 1, 2,
    ])
  })

  it('takes the mean of the hour that autumn has twice', () => {
    const found = read('2026-10-25 01:30,10\n2026-10-25 01:30,11\n2026-10-25 02:30,10')
    expect(found).toMatchObject({ kind: 'readings', doubled: 1 })
    expect(found.kind === 'readings' && found.rows[0]?.[2]).toBe(1050)
  })

  it.each([
    ['2026-06-01,12\n2026-02-31,12', 2, 'noSuchDay'],
    ['2026-06-01,12\nyesterday,12', 2, 'noDate'],
    ['2026-06-01 10:00,12\n2026-06-01 25:61,12', 2, 'noSuchTime'],
    ['2026-06-01,12\n2026-06-02,warm', 2, 'noFigure'],
    ['2026-06-01,54', 1, 'tooWarm'],
    ['2026-06-01,-4', 1, 'belowIce'],
  ])('names the line of what is wrong in %j', (text, line, code) => {
    const found = read(text)
    expect(found).toMatchObject({ kind: 'faulty', faults: [{ line, code }] })
  })

  it('takes a little below nought for ice', () => {
    expect(read('2026-01-10,-0.3')).toMatchObject({
      kind: 'readings',
      rows: [[epochDayOf('2026-01-10'), 720, 0]],
    })
  })

  it('has nothing of an empty file, and a fault of one that is no table', () => {
    expect(read('')).toEqual({ kind: 'empty' })
    expect(read('\n  \n')).toEqual({ kind: 'empty' })
    expect(read('dear diary')).toMatchObject({ kind: 'faulty', faults: [{ line: 1, code: 'noDate' }] })
  })
})

describe('provenDateOrder', () => {
  it('knows once a day is above twelve, and otherwise does not guess', () => {
    expect(provenDateOrder(cells('03/06/2026,12\n14/06/2026,12'))).toBe('dayFirst')
    expect(provenDateOrder(cells('06/14/2026,12'))).toBe('monthFirst')
    expect(provenDateOrder(cells('03/06/2026,12'))).toBeNull()
  })
})

describe('columns', () => {
  const day = epochDayOf('2026-06-03')

  it.each([
    ['Date,Air temp,Water temp\n2026-06-03,19.5,12.4'],
    ['Date,Water temp,Air temp\n2026-06-03,12.4,19.5'],
    ['Date,Temp,Air temp\n2026-06-03,12.4,19.5'],
    ['Date,Water level (m),Water °C\n2026-06-03,0.62,12.4'],
    ['Datum,Lufttemperatur,Wassertemperatur\n2026-06-03,19.5,12.4'],
  ])('takes the water before the air: %s', (text) => {
    expect(read(text)).toMatchObject({ kind: 'readings', rows: [[day, 720, 1240]] })
  })

  it('asks which where two could be the water’s, and goes by the answer', () => {
    const text = 'Date,Temp 1,Temp 2\n2026-06-03,12.4,19.5'
    expect(read(text)).toEqual({
      kind: 'which',
      columns: [
        { at: 1, name: 'Temp 1' },
        { at: 2, name: 'Temp 2' },
      ],
    })
    expect(read(text, { tempColumn: 2 })).toMatchObject({ kind: 'readings', rows: [[day, 720, 1950]] })
    expect(read('2026-06-03,12.4,19.5')).toMatchObject({ kind: 'which', columns: [{ at: 1 }, { at: 2 }] })
  })
})
