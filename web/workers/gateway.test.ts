import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { LIST_CONDITIONS, resolveDressing, UNCALIBRATED } from '../../core/index.ts'
import { jigNymph } from '../../core/testing/shippedMaterial.ts'
import { runJob, whenWorkFails } from './gateway.ts'
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

const nymph = jigNymph()
const resolved = resolveDressing(nymph.dressing, nymph.variant, nymph.materials)
if (resolved.kind !== 'fly') throw new Error('no fly')
const fly = resolved

/** Falls of one fly, sampled so many times: a piece of work as long as one likes. */
const falls = (samples: number): JobInput<'sampleFall'> => ({
  fly,
  conditions: LIST_CONDITIONS,
  samples,
  seed: 7,
  calibration: UNCALIBRATED,
})
const LONG = 30_000
const SHORT = 40

describe('runJob', () => {
  it('answers with the result, and tells of progress on the way', async () => {
    const seen: number[] = []
    const result = await runJob('sampleFall', falls(1500), {
      key: 'a',
      onProgress: ({ done }) => seen.push(done),
    })
    expect(result).toMatchObject({ kind: 'sampled' })
    expect(seen.length).toBeGreaterThan(0)
    expect(seen).toEqual(seen.toSorted((a, b) => a - b))
  })

  it('stops an older job of the same key, and lets one of another key go on', async () => {
    const older = runJob('sampleFall', falls(LONG), { key: 'same' })
    const other = runJob('sampleFall', falls(SHORT), { key: 'other', lane: 1 })
    const newer = runJob('sampleFall', falls(SHORT), { key: 'same' })
    expect(await older).toEqual({ kind: 'stopped' })
    expect(await newer).toMatchObject({ kind: 'sampled' })
    expect(await other).toMatchObject({ kind: 'sampled' })
  })

  it('tells of no progress of a job that was stopped', async () => {
    const seen: number[] = []
    const older = runJob('sampleFall', falls(LONG), {
      key: 'quiet',
      onProgress: ({ done }) => seen.push(done),
    })
    await new Promise((resolve) => setTimeout(resolve, 150))
    const newer = runJob('sampleFall', falls(SHORT), { key: 'quiet' })
    expect(await older).toEqual({ kind: 'stopped' })
    const told = seen.length
    await newer
    await new Promise((resolve) => setTimeout(resolve, 150))
    expect(seen).toHaveLength(told)
  })

  it('tells of no progress once it has answered, though some of it comes late', async () => {
    // progress comes by a port of its own: nothing says that it is here before the answer
    await runJob('sampleFall', falls(SHORT), { key: 'late', lane: 5 })
    const Channel = globalThis.MessageChannel
    class LateChannel extends Channel {
      constructor() {
        super()
        const listen = this.port1.addEventListener.bind(this.port1) as (
          type: string,
          hear: (event: unknown) => void,
        ) => void
        Object.assign(this.port1, {
          addEventListener: (type: string, hear: (event: unknown) => void) =>
            listen(type, (event) => setTimeout(() => hear(event), 200)),
        })
      }
    }
    Object.assign(globalThis, { MessageChannel: LateChannel })
    const seen: number[] = []
    const onProgress = ({ done }: { readonly done: number }) => seen.push(done)
    const result = await runJob('sampleFall', falls(1500), { key: 'late', lane: 5, onProgress })
    Object.assign(globalThis, { MessageChannel: Channel })
    expect(result).toMatchObject({ kind: 'sampled' })
    const told = seen.length
    await new Promise((resolve) => setTimeout(resolve, 400))
    expect(seen).toHaveLength(told)
  })

  it('stops when its user says so, before it has begun too', async () => {
    const controller = new AbortController()
    const job = runJob('sampleFall', falls(LONG), { key: 'b', signal: controller.signal })
    controller.abort()
    expect(await job).toEqual({ kind: 'stopped' })
    const late = runJob('sampleFall', falls(SHORT), { key: 'b', signal: controller.signal })
    expect(await late).toEqual({ kind: 'stopped' })
  })

  it('answers that a job broke, says so once, and goes on with the next', async () => {
    const told: string[] = []
    whenWorkFails((name, error) => told.push(`${name}: ${error instanceof Error ? error.message : ''}`))
    const broken = await runJob('sampleFall', { ...falls(SHORT), fly: null as never }, { key: 'breaks', lane: 6 })
    expect(broken).toEqual({ kind: 'failed' })
    expect(told).toEqual([expect.stringMatching(/^sampleFall: ./)])
    expect(await runJob('sampleFall', falls(SHORT), { key: 'breaks', lane: 6 })).toMatchObject({ kind: 'sampled' })
  }) // prettier-ignore

  it('answers so for all jobs of a worker that breaks itself, and takes a new one then', async () => {
    const told: string[] = []
    whenWorkFails((name) => told.push(name))
    const [first, second] = [1, 2].map((n) => runJob('sampleFall', falls(LONG), { key: `lost ${n}`, lane: 7 }))
    WorkerHere.running.at(-1)!.break()
    expect(await first).toEqual({ kind: 'failed' })
    expect(await second).toEqual({ kind: 'failed' })
    expect(told).toEqual(['sampleFall', 'sampleFall'])
    expect(await runJob('sampleFall', falls(SHORT), { key: 'lost 1', lane: 7 })).toMatchObject({
      kind: 'sampled',
    })
  })

  it('ends a worker by force without ending the jobs beside it', async () => {
    const controller = new AbortController()
    const forced = runJob('sampleFall', falls(LONG), {
      key: 'forced',
      lane: 3,
      byForce: true,
      signal: controller.signal,
    })
    const neighbour = runJob('sampleFall', falls(600), { key: 'neighbour', lane: 3 })
    const workers = WorkerHere.running.length
    controller.abort()
    expect(await forced).toEqual({ kind: 'stopped' })
    expect(await neighbour).toMatchObject({ kind: 'sampled' })
    expect(WorkerHere.running).toHaveLength(workers - 1)
    const again = runJob('sampleFall', falls(SHORT), { key: 'forced', lane: 3, byForce: true })
    expect(await again).toMatchObject({ kind: 'sampled' })
  })
})
