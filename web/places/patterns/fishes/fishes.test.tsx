// @vitest-environment jsdom
import { act, fireEvent, screen, within } from '@testing-library/react'
import type { ComponentType } from 'react'
import { afterEach, describe, expect, it } from 'vitest'
import { useMoment } from '../../../moment/useMoment.ts'
import { useFlyBook } from '../../../parts/rigs/useRigFlies.ts'
import { asked } from '../../../testing/asked.ts'
import { choose } from '../../../testing/choose.ts'
import { onTheDemo, show, until } from '../../../testing/onThePage.tsx'
import { breakWorkers, WorkerHere } from '../../../testing/workerHere.ts'
import { labels } from '../../../words/fishes.ts'
import type { FishesProps } from './asked.ts'
import CountedDown from './CountedDown.tsx'
import OnTightLine from './OnTightLine.tsx'
import UnderFloat from './UnderFloat.tsx'

onTheDemo()
afterEach(() => {
  Object.assign(globalThis, { Worker: WorkerHere })
})

interface AtProps {
  readonly what: ComponentType<FishesProps>
  readonly id: string
  readonly more: Partial<FishesProps['reach']>
}

/** A technique, asked of a variant in the water of the moment. */
function At({ what: Technique, id, more }: AtProps) {
  const moment = useMoment()
  const fly = useFlyBook([id], moment?.waterTempC ?? null)?.get(id)
  if (!fly?.model || !moment) return null
  return <Technique model={fly.model} dragSdLog={fly.dragSdLog} reach={{ ...moment.reach, ...more }} />
}

/** In 0.9 m of water that runs 60 cm/s at its top, whatever the demo's reach does. */
const WATER = { typicalDepthMm: 900, surfaceSpeedMmPerS: 600, bedRoughnessMm: 40 }

async function fishes(
  what: AtProps['what'],
  { label = '#16 W 2.8', more = {} }: { label?: string; more?: AtProps['more'] } = {},
) {
  const { variants } = await asked.pattern('Third Button')
  const { id } = variants.find((one) => one.label === label)!
  return show(<At what={what} id={id} more={{ ...WATER, ...more }} />)
}

/** A field by its label, which its unit follows. */
const field = (name: string) =>
  screen.findByRole<HTMLInputElement>('textbox', { name: new RegExp(`^${name}(, .+)?$`) })
const type = async (name: string, text: string) =>
  fireEvent.change(await field(name), { target: { value: text } })
/** What is said once it is another than before. */
const said = (pattern: RegExp, before = '') =>
  until(() => {
    const text = screen.getAllByRole('status')[0]?.textContent ?? ''
    return text !== before && pattern.test(text) ? text : null
  })
/** The first length in metres that follows a word, mm. */
const metresAfter = (text: string, word: string) =>
  1000 * Number(new RegExp(`${word} ([\\d.]+) m`).exec(text)?.[1] ?? NaN)

describe('under a float', () => {
  const drifts = /it drifts|it drags along/

  it('a fly drifts no deeper than its leader, within its band, and is set as it is told for 15 cm over the bed', async () => {
    await fishes(UnderFloat)
    const first = await said(drifts)
    const set = metresAfter(first, 'Set at')
    expect(set).toBeCloseTo(1.3 * WATER.typicalDepthMm, 6)
    const advised = metresAfter(first, 'above the bed set')
    expect(advised).toBeGreaterThan(0)
    await type(labels.leaderBelowIt, (advised / 1000).toFixed(2))
    const then = await said(drifts, first)
    expect(metresAfter(then, 'Set at')).toBeCloseTo(advised, 6)
    const [depth, low, high] = /drifts ([\d.]+) m down, likely ([\d.]+) m to ([\d.]+) m/.exec(then)!.slice(1).map(Number) // prettier-ignore
    // both told to the centimetre
    expect(Math.abs(depth! - 0.75)).toBeLessThan(0.03)
    expect(low!).toBeLessThanOrEqual(depth!)
    expect(high!).toBeGreaterThanOrEqual(depth!)
    expect(depth!).toBeLessThanOrEqual(advised / 1000)
  })

  it('a heavier sister hangs deeper on the same leader, and none deeper than it is long', async () => {
    const more = { surfaceSpeedMmPerS: 1200 }
    const light = await fishes(UnderFloat, { label: '#18 W 2.4', more })
    await type(labels.leaderBelowIt, '0.8')
    const one = metresAfter(await said(/Set at 0\.80 m it drifts/), 'drifts')
    light.unmount()
    await fishes(UnderFloat, { label: '#14 W 3.3', more })
    await type(labels.leaderBelowIt, '0.8')
    const other = metresAfter(await said(/Set at 0\.80 m it drifts/), 'drifts')
    expect(other).toBeGreaterThan(one)
    expect(other).toBeLessThanOrEqual(800)
  })

  it('says that too small a float is drawn under, and that all is wanted where something is not said', async () => {
    await fishes(UnderFloat)
    await type(labels.leaderBelowIt, '0.6')
    const first = await said(/It bears \d+ mg/)
    await type(labels.floatAcross, '3')
    await said(/It is drawn under/, first)
    await type(labels.floatWeight, '')
    await said(/^All of these are wanted\.$/)
  })

  it('is not reckoned where the note of a water says no indicator', async () => {
    const { noIndicator: _, ...rules } = (await asked.waters()).waters[0]!.water.rules
    await fishes(UnderFloat, { more: { rules: { ...rules, noIndicator: true } } })
    expect((await screen.findByText(labels.noFloats)).textContent).toBe(labels.noFloats)
    expect(screen.queryByRole('status')).toBeNull()
  })

  it('says so where workers do not load, and reckons once they do', async () => {
    breakWorkers()
    await fishes(UnderFloat)
    const again = await screen.findByRole('button', { name: 'Try again' })
    expect(screen.queryByText(labels.reckons)).toBeNull()
    Object.assign(globalThis, { Worker: WorkerHere })
    act(() => again.click())
    await said(drifts)
    expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull()
  })
})

describe('on a tight line', () => {
  const hangs = /it hangs|is on the bed|never comes to rest/
  const depthOf = (text: string) => metresAfter(text, 'hangs')

  it('a fly that is led faster hangs higher, and finer tippet lets it hang deeper', async () => {
    await fishes(OnTightLine)
    await type(labels.ledAt, '45')
    const slow = await said(/^At .*Led at 45 cm\/s/)
    await type(labels.ledAt, '58')
    const fast = await said(/^At .*Led at 58 cm\/s/)
    const [deep, high] = [slow, fast].map((text) => (/is on the bed/.test(text) ? 900 : depthOf(text)))
    expect(high!).toBeLessThanOrEqual(deep!)
    const finer = metresAfter(fast, 'finer it would hang')
    expect(finer).toBeGreaterThanOrEqual(high!)
  })

  it('reckons nothing while a length is wanted', async () => {
    await fishes(OnTightLine)
    await said(hangs)
    await type(labels.tippet, '')
    await said(/^All of these are wanted\.$/)
  })

  it('says so where workers do not load', async () => {
    breakWorkers()
    await fishes(OnTightLine)
    expect((await screen.findByText('This could not be worked out.')).textContent).toBeTruthy()
    expect(screen.queryByText(labels.reckons)).toBeNull()
  })
})

describe('counted down in still water', () => {
  const still = { more: { surfaceSpeedMmPerS: 0, typicalDepthMm: 4000 } }
  const counts = (text: string) => Number(/count (\d+)\.$/.exec(text)?.[1] ?? NaN)
  const rows = () =>
    within(screen.getByRole('table'))
      .getAllByRole('row')
      .slice(1)
      .map((row) => within(row).getAllByRole('cell').map(({ textContent }) => textContent)) // prettier-ignore

  it('a fly is deeper at each count, and the count to a depth lies between those of the table', async () => {
    await fishes(CountedDown, still)
    await choose(/fly line$/, labels.intermediate)
    await type(labels.wantedAt, '1.5')
    const sentence = await said(/^In still water: To 1\.50 m count \d+\.$/)
    await until(() => rows().every(([, , likely]) => likely !== '…'))
    const known = rows().map(([count, at]) => [Number(count), at === 'on the bed' ? 4 : Number.parseFloat(at!)])
    expect(known.length).toBeGreaterThan(3)
    for (const [i, [count, depth]] of known.entries()) {
      if (i === 0) continue
      expect(count!).toBeGreaterThan(known[i - 1]![0]!)
      expect(depth!).toBeGreaterThanOrEqual(known[i - 1]![1]!)
    }
    const to = counts(sentence)
    const above = known.findLast(([count]) => count! <= to)!
    const below = known.find(([count]) => count! > to)
    expect(above[1]!).toBeLessThanOrEqual(1.55)
    if (below) expect(below[1]!).toBeGreaterThanOrEqual(1.45)
  })

  it('to three metres a line that sinks brings it sooner than one that floats, under which it swings back', async () => {
    await fishes(CountedDown, still)
    await type(labels.wantedAt, '3')
    const floating = counts(await said(/To 3\.00 m count/))
    await choose(/fly line$/, labels.sinking)
    const sinking = counts(await said(new RegExp(`To 3\\.00 m count (?!${floating}\\b)`)))
    expect(sinking).toBeLessThan(floating)
    // the line by itself takes so long, held at its upper end
    expect(sinking).toBeGreaterThan(3000 / 150)
  })

  it('what is deeper than the water is said to be', async () => {
    await fishes(CountedDown, still)
    await type(labels.wantedAt, '5')
    await said(/^In still water: 5\.00 m is deeper than the water\.$/)
    await type(labels.waterDeep, '')
    await said(/^All of these are wanted\.$/)
  })

  it('a retrieve is looked for between two depths, and stopped', async () => {
    await fishes(CountedDown, still)
    await choose(/fly line$/, labels.sinking)
    await type(labels.wantedAt, '1')
    await said(/To 1\.00 m count/)
    expect((await field(labels.keptFrom)).value).toBe('0.8')
    expect((await field(labels.keptTo)).value).toBe('1.2')
    const find = () => screen.getByRole<HTMLButtonElement>('button', { name: labels.findARetrieve })
    await type(labels.keptFrom, '1.5')
    expect(find().disabled).toBe(true)
    await type(labels.keptFrom, '0.7')
    fireEvent.click(find())
    const stop = await screen.findByRole('button', { name: labels.stop })
    await until(() =>
      screen.getAllByRole('status').some(({ textContent }) => /^Tried of 200:/.test(textContent)),
    )
    fireEvent.click(stop)
    await until(() => screen.queryByRole('button', { name: labels.findARetrieve }))
    expect(screen.getAllByRole('status').at(-1)!.textContent).toMatch(/^$|^Count \d+, then strip|^No count/)
  })
})
