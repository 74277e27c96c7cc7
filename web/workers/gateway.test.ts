import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { usualModel } from '../../core/index.ts'
import { runJob } from './gateway.ts'
import type { JobInput } from './jobs.ts'
import { WorkerHere } from '../testing/workerHere.ts'

const platform = globalThis as { Worker?: unknown }
const before = platform.Worker
beforeEach(() => {
  platform.Worker = WorkerHere
})
afterEach(() => {
  platform.Worker = before
})

/** Years of one reach and brood: a piece of work as long as one likes. */
const season = (years: number): JobInput<'emergenceWindows'> => ({
  reaches: [
    {
      key: 'mill',
      model: usualModel(Array.from({ length: 12 }, (_, m) => 9 - 6 * Math.cos((Math.PI * m) / 6))),
      latitudeDeg: 54,
      elevationM: 180,
    },
  ],
  broods: [
    {
      stageKey: 'dun', brood: 0,
      trigger: { kind: 'waterTemp', direction: 'rising', thresholdC: 7, lowC: 6, highC: 8, notBefore: '02-20', spreadDays: 7, durationDays: 40, steadyStartOn: '03-10' },
    },
  ],
  years,
  seed: 7,
}) // prettier-ignore
const LONG = 30_000
const SHORT = 40

describe('runJob', () => {
  it('answers with the result, and tells of progress on the way', async () => {
    const seen: number[] = []
    const result = await runJob('emergenceWindows', season(1500), {
      key: 'a',
      onProgress: ({ done }) => seen.push(done),
    })
    expect(result).toHaveLength(1)
    expect(seen.length).toBeGreaterThan(0)
    expect(seen).toEqual(seen.toSorted((a, b) => a - b))
  })

  it('stops an older job of the same key, and lets one of another key go on', async () => {
    const older = runJob('emergenceWindows', season(LONG), { key: 'same' })
    const other = runJob('emergenceWindows', season(SHORT), { key: 'other', lane: 1 })
    const newer = runJob('emergenceWindows', season(SHORT), { key: 'same' })
    expect(await older).toEqual({ kind: 'stopped' })
    expect(await newer).toHaveLength(1)
    expect(await other).toHaveLength(1)
  })

  it('tells of no progress of a job that was stopped', async () => {
    const seen: number[] = []
    const older = runJob('emergenceWindows', season(LONG), {
      key: 'quiet',
      onProgress: ({ done }) => seen.push(done),
    })
    await new Promise((resolve) => setTimeout(resolve, 150))
    const newer = runJob('emergenceWindows', season(SHORT), { key: 'quiet' })
    expect(await older).toEqual({ kind: 'stopped' })
    const told = seen.length
    await newer
    await new Promise((resolve) => setTimeout(resolve, 150))
    expect(seen).toHaveLength(told)
  })

  it('stops when its user says so, before it has begun too', async () => {
    const controller = new AbortController()
    const job = runJob('emergenceWindows', season(LONG), { key: 'b', signal: controller.signal })
    controller.abort()
    expect(await job).toEqual({ kind: 'stopped' })
    const late = runJob('emergenceWindows', season(SHORT), { key: 'b', signal: controller.signal })
    expect(await late).toEqual({ kind: 'stopped' })
  })

  it('ends a worker by force without ending the jobs beside it', async () => {
    const controller = new AbortController()
    const forced = runJob('emergenceWindows', season(LONG), {
      key: 'forced',
      lane: 3,
      byForce: true,
      signal: controller.signal,
    })
    const neighbour = runJob('emergenceWindows', season(600), { key: 'neighbour', lane: 3 })
    const workers = WorkerHere.running.length
    controller.abort()
    expect(await forced).toEqual({ kind: 'stopped' })
    expect(await neighbour).toHaveLength(1)
    expect(WorkerHere.running).toHaveLength(workers - 1)
    const again = runJob('emergenceWindows', season(SHORT), { key: 'forced', lane: 3, byForce: true })
    expect(await again).toHaveLength(1)
  })
})
