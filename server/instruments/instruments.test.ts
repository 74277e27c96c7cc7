import { afterEach, describe, expect, it } from 'vitest'
import { readInstrument } from './driver.ts'
import { readLine, writeLine } from './protocol.ts'
import { startStandIn } from './standIn.ts'
import type { StandIn } from './standIn.ts'

let standIn: StandIn | null = null
afterEach(async () => {
  await standIn?.stop()
  standIn = null
})

describe('the line protocol', () => {
  it.each([
    ['scale', { kind: 'stable', value: 158.1 }],
    ['scale', { kind: 'unstable', value: -0.3 }],
    ['timer', { kind: 'stable', value: 3.021 }],
    ['timer', { kind: 'waiting' }],
    ['scale', { kind: 'fault', word: 'OVERLOAD' }],
    ['level', { kind: 'stable', value: 423 }],
    ['air', { kind: 'stable', value: -3.4 }],
    ['wind', { kind: 'stable', value: 6.1 }],
  ] as const)('reads back what a %s writes', (kind, line) => {
    expect(readLine(kind, writeLine(kind, line))).toEqual(line)
  })

  it.each(['ST,+15', 'ST,,mg', 'GT,3.0,mg', 'hello', '', 'ST,1e9,mg'])('takes “%s” for no reading', (line) => {
    expect(readLine('scale', line)).toBeNull()
  })
})

describe('the driver', () => {
  it('waits for a scale to be stable and reads it to a tenth of a milligram or so', async () => {
    standIn = await startStandIn('scale', 3)
    standIn.put(1581)
    const reading = await readInstrument('scale', standIn.port)
    if (reading.kind !== 'reading') throw new Error(reading.kind)
    expect(Math.abs(reading.value - 1581)).toBeLessThan(1)
    expect(reading.value).not.toBe(1581)
  })

  it('reads a drop between two gates', async () => {
    standIn = await startStandIn('timer', 4)
    standIn.put(3.02)
    const reading = await readInstrument('timer', standIn.port)
    if (reading.kind !== 'reading') throw new Error(reading.kind)
    expect(reading.value).toBeCloseTo(3.02, 1)
  })

  it.each([
    ['level', 420, 15],
    ['air', 14, 1.5],
    ['wind', 3, 2],
  ] as const)('reads a %s at once', async (kind, there, within) => {
    standIn = await startStandIn(kind, 7)
    standIn.put(there)
    const reading = await readInstrument(kind, standIn.port)
    if (reading.kind !== 'reading') throw new Error(reading.kind)
    expect(Math.abs(reading.value - there)).toBeLessThan(within)
  })

  it('takes no reading of one instrument for that of another', () => {
    expect(readLine('air', writeLine('wind', { kind: 'stable', value: 3 }))).toBeNull()
    expect(readLine('level', 'LV,+420.0,mg')).toBeNull()
  })

  it('says that the line was dropped in the middle of a reading, and reads again after', async () => {
    standIn = await startStandIn('scale', 5)
    standIn.put(100)
    standIn.tearNext(4)
    expect(await readInstrument('scale', standIn.port)).toEqual({ kind: 'lineDropped' })
    expect((await readInstrument('scale', standIn.port)).kind).toBe('reading')
  })

  it('says that there is no instrument', async () => {
    standIn = await startStandIn('scale', 6)
    const { port } = standIn
    await standIn.stop()
    standIn = null
    expect(await readInstrument('scale', port)).toEqual({ kind: 'noInstrument' })
  })
})
