// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { WEEKS } from '../../../core/index.ts'
import { printYear, saveYearPng } from './drawYear.ts'

/** What a canvas of the platform was told, in its order: jsdom has none. */
let drawn: { what: string; args: readonly unknown[]; fill: string }[] = []
const before = HTMLCanvasElement.prototype.getContext
beforeEach(() => {
  drawn = []
  const state: Record<string, unknown> = {}
  const context = new Proxy(state, {
    get: (target, name) =>
      name in target
        ? target[String(name)]
        : (...args: unknown[]) => drawn.push({ what: String(name), args, fill: String(target.fillStyle) }),
  })
  HTMLCanvasElement.prototype.getContext = (() => context) as never
})
afterEach(() => {
  HTMLCanvasElement.prototype.getContext = before
  document.querySelectorAll('.printed').forEach((page) => page.remove())
})

const samples = WEEKS
const flat = (height: number) => Array.from({ length: samples }, () => height)
const row = { name: 'Dark olive, dun', about: flat(1), onIt: flat(0.5), seenDays: [146] }
const year = { title: 'Mill Reach', rows: [row, { ...row, name: 'Midge', seenDays: [] }], warmth: ['4 °C'] }
const said = (what: string) => drawn.filter((one) => one.what === what)

function print() {
  window.print = () => undefined
  printYear(year)
  return document.querySelector<HTMLCanvasElement>('canvas.printed')!
}

describe('the drawn year', () => {
  it('is an upright page of A’s proportion, twice as sharp', () => {
    const page = print()
    expect(page.width).toBe(2480)
    expect(page.height / page.width).toBeCloseTo(Math.SQRT2, 3)
    expect(said('scale')[0]?.args).toEqual([2, 2])
    expect(said('fillRect')[0]).toMatchObject({ args: [0, 0, 1240, 1754], fill: '#ffffff' })
  })

  it('has its title, twelve months with the warmth that is known, and a name for each row', () => {
    print()
    const texts = said('fillText').map(({ args }) => String(args[0]))
    expect(texts[0]).toBe('Mill Reach')
    expect(texts[1]).toMatch(/^Jan\w* 4 °C$/)
    expect(texts.slice(-2)).toEqual(['Dark olive, dun', 'Midge'])
    expect(texts).toHaveLength(1 + 12 + 2)
    const lefts = said('fillText').slice(1, 13).map(({ args }) => Number(args[1])) // prettier-ignore
    expect(lefts[0]).toBeCloseTo(363, 6)
    expect(lefts[6]! - lefts[0]!).toBeCloseTo((181 / 365) * 850, 6)
  })

  it('marks the days on which it was seen, as high as its row', () => {
    print()
    const marks = said('fillRect').filter(({ args }) => args[2] === 1.6)
    expect(marks).toHaveLength(1)
    const [x, y, , high] = marks[0]!.args.map(Number)
    expect(x).toBeCloseTo(360 + (146 / 365) * 850, 6)
    expect(high).toBeCloseTo(34 * 0.92, 6)
    expect(Number(y) + Number(high)).toBeCloseTo(144, 6)
  })

  it('fills how likely it is about and the share on it from the row’s foot, half as high where it is half', () => {
    print()
    const corners = drawn.filter(({ what }) => what === 'moveTo' || what === 'lineTo')
    const [possible, likely] = [corners.slice(0, samples + 2), corners.slice(samples + 2, 2 * (samples + 2))]
    const heightOf = (path: typeof corners) => 144 - Math.min(...path.map(({ args }) => Number(args[1])))
    expect(heightOf(possible)).toBeCloseTo(34 * 0.92, 6)
    expect(heightOf(likely)).toBeCloseTo(34 * 0.46, 6)
    expect(likely[0]?.args).toEqual([360, 144])
    expect(Number(likely.at(-1)?.args[0])).toBeCloseTo(360 + (364 / 365) * 850, 6)
    expect(said('fill').map(({ fill }) => fill).slice(0, 2)).toEqual(['rgba(106, 61, 143, 0.22)', 'rgba(106, 61, 143, 0.7)']) // prettier-ignore
  })

  it('squeezes many rows onto the page', () => {
    printYear({ ...year, rows: Array.from({ length: 100 }, () => row) })
    const feet = said('fillText').slice(13).map(({ args }) => Number(args[2])) // prettier-ignore
    expect(Math.max(...feet)).toBeLessThan(1754)
    expect(feet[1]! - feet[0]!).toBeCloseTo((1754 - 140) / 100, 6)
  })

  it('goes from the page when it was printed', () => {
    print()
    window.dispatchEvent(new Event('afterprint'))
    expect(document.querySelector('.printed')).toBeNull()
  })

  it('is saved as a picture', async () => {
    const saved: string[] = []
    HTMLCanvasElement.prototype.toBlob = (done, type) => done(new Blob(['picture'], { type: type ?? '' }))
    URL.createObjectURL = (blob) => (saved.push((blob as Blob).type), 'blob:page')
    URL.revokeObjectURL = () => undefined
    HTMLAnchorElement.prototype.click = function () {
      saved.push(this.download)
    }
    await saveYearPng(year, 'year.png')
    expect(saved).toEqual(['image/png', 'year.png'])
  })
})
