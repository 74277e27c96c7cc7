// @vitest-environment jsdom
import { act, fireEvent, screen, within } from '@testing-library/react'
import { createElement } from 'react'
import { afterEach, describe, expect, it } from 'vitest'
import { ColumnContext } from '../../../column/marks.ts'
import type { ColumnContent } from '../../../column/marks.ts'
import { asked } from '../../../testing/asked.ts'
import { callHook, onTheDemo, show, until } from '../../../testing/onThePage.tsx'
import { breakWorkers, WorkerHere } from '../../../testing/workerHere.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { useFlyChoices } from '../../../parts/rigs/useRigFlies.ts'
import { labels } from '../../../words/rigs.ts'
import DragFree from './DragFree.tsx'
import Rigs from './Rigs.tsx'
import { useRigDraft } from './useRigDraft.ts'
import { useWhichRigs } from './useWhichRigs.ts'

onTheDemo()

const rigNamed = async (name: string) => (await asked.rigs()).rigs.find((rig) => rig.name === name)!
const flies = async () => {
  const { result } = callHook(() => useFlyChoices(), undefined)
  return until(() => result.current)
}

describe('a rig that is being typed', () => {
  const LINE = '2 m 0.25 nylon, 90 cm 0.14 fluorocarbon, point Third Button #16 W 2.8'

  it('has parts and a line that follow each other', async () => {
    const choices = await flies()
    const { result } = callHook(() => useRigDraft(null, null, choices), undefined)
    expect(result.current).toMatchObject({ isTouched: false, isChanged: true, isRead: true })
    act(() => result.current.type(LINE))
    const nymph = choices.find(({ name }) => name === 'Third Button #16 W 2.8')!
    expect(result.current.draft.parts).toEqual([
      { kind: 'tippet', lengthMm: 2000, diameterMm: 0.25, stuff: 'nylon' },
      { kind: 'tippet', lengthMm: 900, diameterMm: 0.14, stuff: 'fluorocarbon' },
      { kind: 'point', fly: nymph.id },
    ])
    expect(result.current.isTouched).toBe(true)
    const [top, , point] = result.current.draft.parts
    act(() => result.current.putParts([top!, point!]))
    expect(result.current.draft.typed).toContain('2 m')
    expect(result.current.draft.typed).not.toContain('90 cm')
    expect(result.current.draft.typed).toContain('Third Button #16 W 2.8')
  })

  it('keeps what is not understood in the line, as no part, and cannot be kept so', async () => {
    const choices = await flies()
    const { result } = callHook(() => useRigDraft(null, null, choices), undefined)
    act(() => result.current.type('2 m 0.25 nylon, something odd, point Third Button #16 W 2.8'))
    expect(result.current.draft.typed).toContain('something odd')
    expect(result.current.draft.parts.map(({ kind }) => kind)).toEqual(['tippet', 'point'])
    expect(result.current.isRead).toBe(false)
    act(() => result.current.type(''))
    expect(result.current.isRead).toBe(false)
  })

  it('is unchanged again where it says what is saved', async () => {
    const choices = await flies()
    const saved = await rigNamed('Tight line, one nymph')
    const { result } = callHook(() => useRigDraft(saved, null, choices), undefined)
    expect(result.current).toMatchObject({ isTouched: false, isChanged: false })
    act(() => result.current.change({ name: 'Other' }))
    expect(result.current).toMatchObject({ isTouched: true, isChanged: true })
    act(() => result.current.change({ name: ` ${saved.name} ` }))
    expect(result.current).toMatchObject({ isTouched: false, isChanged: false })
    act(() => result.current.change({ way: 'swung' }))
    expect(result.current.isChanged).toBe(true)
  })
})

describe('which rig fishes between two depths', () => {
  const asking = async (wanted: { fromMm: number; toMm: number } | null, fly: string | null = null) => {
    const names = ['Tight line, one nymph', 'Dry, three metres', 'Dry with a dropper below']
    const rigs = await Promise.all(names.map(rigNamed))
    const { result } = callHook(() => useWhichRigs(rigs, useMoment(), wanted, fly), undefined)
    return { rigs, result }
  }

  const foundAt = async (fromMm: number, toMm: number) => {
    const { rigs, result } = await asking({ fromMm, toMm })
    const found = await until(() =>
      result.current.brought.size === rigs.length ? result.current.brought : null,
    )
    return rigs.map(({ id }) => found.get(id)!)
  }

  it('is told for each of them: a nymph is led, what hangs below a dry is set, a dry alone stays up', async () => {
    const [nymph, dry, dropper] = await foundAt(450, 600)
    expect(nymph!.kind).toBe('lead')
    expect(dry!.kind).toBe('not')
    // on its 500 mm below the dry it hangs nearly straight: there as it is, and higher only on less of it
    expect(dropper).toMatchObject({ kind: 'asIs', fly: 1 })
    const [, , higher] = await foundAt(250, 350)
    expect(higher).toMatchObject({ kind: 'set', fly: 1 })
    const [depthMm, settingMm] = [
      dropper?.kind === 'asIs' ? dropper.depthMm : NaN,
      higher?.kind === 'set' ? higher.settingMm : NaN,
    ]
    expect(depthMm).toBeGreaterThan(450)
    expect(depthMm).toBeLessThan(500)
    expect(settingMm).toBeGreaterThan(300)
    expect(settingMm).toBeLessThan(400)
  })

  it('is not asked of a stretch that is none', async () => {
    for (const wanted of [null, { fromMm: 400, toMm: 400 }, { fromMm: 500, toMm: 300 }]) {
      const { result } = await asking(wanted)
      await until(() => result.current)
      expect(result.current.brought.size).toBe(0)
    }
  })
})

describe('the grip of a rig in the Column', () => {
  /** A rig's sheet, with what hangs in the Column. */
  async function hung(name: string) {
    const rig = await rigNamed(name)
    let content: ColumnContent | null = null
    const take = (next: ColumnContent) => void (content = next)
    const page = createElement(Rigs, { open: rig.id, like: null, fly: null, onOpen: () => undefined, wanted: null, onOutings: () => undefined }) // prettier-ignore
    show(createElement(ColumnContext, { value: take }, page))
    const grip = () => content?.rig?.grip ?? null
    const words = () => grip()?.words ?? ''
    const depth = () => grip()?.depthMm ?? NaN
    await until(() => grip())
    return { content: () => content!, grip: () => grip()!, words, depth }
  }

  it('under a float sets it, step by step and where it is dragged to', async () => {
    const { content, grip, words, depth } = await hung('Dry with a dropper below')
    expect(grip().label).toBe(labels.setTo)
    expect(content().rig!.isCarried).toBe(true)
    const [before, from] = [depth(), words()]
    expect(Math.max(...content().rig!.flies.map(({ zMm }) => zMm))).toBeCloseTo(before, 6)
    act(() => grip().onStep(-20))
    await until(() => words() !== from && depth() < before - 100)
    act(() => grip().onDrag(before))
    act(() => grip().onDrop())
    await until(() => Math.abs(depth() - before) < 30)
  })

  it('of a tight line leads it, slower for deeper', async () => {
    const { grip, words, depth } = await hung('Tight line, team of two')
    expect(grip().label).toBe(labels.ledAt)
    const [before, from] = [depth(), words()]
    act(() => grip().onStep(-30))
    await until(() => words() !== from && depth() < before)
    const higher = depth()
    act(() => grip().onStep(60))
    await until(() => depth() > higher)
  })

  it('of one that is counted down counts, from nothing to where it has come to rest', async () => {
    const { grip, words, depth } = await hung('Slow sinker, two flies')
    expect(grip().label).toBe(labels.count)
    act(() => grip().onStep(-1000))
    await until(() => words() === '0 s')
    expect(depth()).toBeLessThan(200)
    act(() => grip().onStep(5))
    await until(() => words() === '5 s')
    const five = depth()
    act(() => grip().onDrag(five + 300))
    await until(() => depth() >= five + 300)
    expect(Number.parseInt(words(), 10)).toBeGreaterThan(5)
    act(() => grip().onDrag(1e6))
    const last = await until(() => (Number.parseInt(words(), 10) > 10 ? words() : null))
    act(() => grip().onStep(1))
    expect(words()).toBe(last)
  })
})

describe('the sheet of a rig', () => {
  const page = (open: string, onOpen: (id: string) => void = () => undefined) =>
    show(<Rigs open={open} like={null} fly={null} onOpen={onOpen} wanted={null} onOutings={() => undefined} />)
  const field = (name: string) => screen.findByRole<HTMLInputElement>('textbox', { name })

  it('is kept under a name once all of its line is understood', async () => {
    const opened: string[] = []
    page('new', (id) => opened.push(id))
    const line = await field(labels.typed)
    fireEvent.change(line, { target: { value: '3 m 0.20 nylon, odd, point Third Button #16 W 2.8' } })
    fireEvent.click(screen.getByRole('button', { name: labels.save }))
    expect((await screen.findByRole('alert')).textContent).toBe(labels.nameIt)
    fireEvent.change(await field(labels.name), { target: { value: 'Made here' } })
    fireEvent.click(screen.getByRole('button', { name: labels.save }))
    await until(() => screen.getByRole('alert').textContent === labels.onePhrase)
    expect(screen.getByRole('list', { name: labels.understood }).textContent).toContain('“odd”')
    fireEvent.change(line, { target: { value: '3 m 0.20 nylon, point Third Button #16 W 2.8' } })
    fireEvent.click(screen.getByRole('button', { name: labels.save }))
    await until(() => opened.length > 0)
    const made = await rigNamed('Made here')
    expect(opened).toEqual([made.id])
    expect(made.parts.map(({ kind }) => kind)).toEqual(['tippet', 'point'])
  })

  it('is copied under a name of its own, and put away', async () => {
    const rig = await rigNamed('Brook, one dry')
    const opened: string[] = []
    const { unmount } = page(rig.id, (id) => opened.push(id))
    fireEvent.click(await screen.findByRole('button', { name: labels.copy }))
    await until(() => opened.length > 0)
    const copy = await rigNamed('Brook, one dry, copy')
    expect(copy.parts).toEqual(rig.parts)
    expect(copy.id).not.toBe(rig.id)
    unmount()
    page(copy.id, (id) => opened.push(id))
    fireEvent.click(await screen.findByRole('button', { name: labels.putAway }))
    await until(async () => !(await rigNamed('Brook, one dry, copy')))
    expect(await rigNamed('Brook, one dry')).toMatchObject({ id: rig.id })
  })

  it('says what was refused of one that was changed elsewhere, and keeps what was typed', async () => {
    const rig = await rigNamed('Slow sinker, two flies')
    page(rig.id)
    const name = await field(labels.name)
    fireEvent.change(name, { target: { value: 'Slow sinker, changed here' } })
    const { store } = await import('../../../wire/store.ts')
    const { api } = await import('../../../wire/api.ts')
    const changed = { id: crypto.randomUUID(), kind: 'rigSave', body: { rigId: rig.id, version: rig.version, rig: { name: rig.name, way: rig.way, parts: rig.parts, note: 'elsewhere' } } } // prettier-ignore
    await fetch('/api/commands', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(changed) }) // prettier-ignore
    fireEvent.click(screen.getByRole('button', { name: labels.save }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/changed elsewhere/)
    expect(name.value).toBe('Slow sinker, changed here')
    expect((await asked.rigs()).rigs.find(({ id }) => id === rig.id)!.note).toBe('elsewhere')
    store.dispatch(api.util.resetApiState())
  })

  it('says nothing of where it fishes while a setting is not understood', async () => {
    const rig = await rigNamed('Tight line, one nymph')
    page(rig.id)
    const where = within(await screen.findByRole('region', { name: labels.whereItFishes }))
    const told = () => {
      const said = where.queryByRole('status')
      return said?.hasAttribute('aria-busy') ? null : said?.textContent
    }
    await until(() => told()?.startsWith('At '))
    const before = told()
    const other = () => where.getByRole<HTMLButtonElement>('button', { name: labels.whichWouldDo })
    expect(other().disabled).toBe(false)
    for (const label of [labels.waterDeep, labels.tipAbove, labels.ledAt]) {
      const typed = where.getByRole<HTMLInputElement>('textbox', { name: new RegExp(`^${label}`) })
      const was = typed.value
      for (const odd of ['deep', '', '9999']) {
        fireEvent.change(typed, { target: { value: odd } })
        await until(() => told() === labels.sayAll)
        expect(typed.value).toBe(odd)
        expect(other().disabled).toBe(true)
      }
      fireEvent.change(typed, { target: { value: was } })
      await until(() => told() === before)
    }
  })

  it('lists all by name, each with what holds least, and opens one', async () => {
    const opened: string[] = []
    page('', (id) => opened.push(id))
    const list = await screen.findByRole('table', { name: labels.rigs })
    const { rigs } = await asked.rigs()
    const rows = within(list).getAllByRole('row')
    expect(rows).toHaveLength(rigs.length)
    for (const row of rows) expect(row.textContent).toMatch(/weakest [\d.]+ kg/)
    fireEvent.click(within(list).getByRole('button', { name: 'Dry, three metres' }))
    expect(opened).toEqual([(await rigNamed('Dry, three metres')).id])
  })
})

describe('a dry that drifts free', () => {
  const freely = async (more: object = {}) => {
    const rig = await rigNamed('Dry, three metres')
    function Here() {
      const moment = useMoment()
      return moment ? <DragFree parts={rig.parts} moment={{ ...moment, reach: { ...moment.reach, surfaceSpeedMmPerS: 600, ...more } }} /> : null // prettier-ignore
    }
    show(<Here />)
  }
  const type = (name: string, text: string) =>
    fireEvent.change(screen.getByRole('textbox', { name: new RegExp(`^${name}`) }), { target: { value: text } })
  const told = (before = '') =>
    until(() => {
      const text = screen.getByRole('status').textContent ?? ''
      return text !== before && !screen.getByRole('status').hasAttribute('aria-busy') ? text : null
    })
  const seconds = (text: string) => Number(/about ([\d.]+) s/.exec(text)?.[1] ?? Infinity)

  it('does so for longer on more slack, and for less over a lane that runs faster', async () => {
    await freely()
    const usual = await told()
    type(labels.slackPercent, '40')
    const slack = await told(usual)
    expect(seconds(slack)).toBeGreaterThan(seconds(usual))
    type(labels.slackPercent, '10')
    await until(() => screen.getByRole('status').textContent === usual)
    type(labels.otherLane, '4')
    await until(() => screen.getByRole('textbox', { name: new RegExp(`^${labels.laneRuns}`) }))
    type(labels.laneRuns, '120')
    const faster = await told(usual)
    expect(seconds(faster)).toBeLessThan(seconds(usual))
  })

  it('is not reckoned while something of the cast is not said', async () => {
    await freely()
    const usual = await told()
    type(labels.castAcross, 'far')
    expect(await told(usual)).toBe(labels.sayAll)
    type(labels.castAcross, '8')
    expect(await told(labels.sayAll)).toBe(usual)
    type(labels.otherLane, '4')
    await until(() => screen.getByRole('textbox', { name: new RegExp(`^${labels.laneRuns}`) }))
    await told(labels.sayAll)
    type(labels.laneRuns, 'fast')
    expect(await told(usual)).toBe(labels.sayAll)
    type(labels.otherLane, '0')
    expect(await told(labels.sayAll)).toBe(usual)
  })
})

describe('where workers do not load', () => {
  afterEach(() => {
    Object.assign(globalThis, { Worker: WorkerHere })
  })
  const again = () => screen.findByRole('button', { name: 'Try again' })

  it('a rig’s sheet says that it could not be worked out, and where it fishes once it can be', async () => {
    const rig = await rigNamed('Tight line, one nymph')
    breakWorkers()
    show(<Rigs open={rig.id} like={null} fly={null} onOpen={() => undefined} wanted={null} onOutings={() => undefined} />) // prettier-ignore
    const section = await screen.findByRole('region', { name: labels.whereItFishes })
    const button = await within(section).findByRole('button', { name: 'Try again' })
    expect(within(section).queryByText(labels.reckons)).toBeNull()
    Object.assign(globalThis, { Worker: WorkerHere })
    act(() => button.click())
    await until(() => within(section).queryByText(/hangs .* down|is on the bed/))
    expect(within(section).queryByRole('button', { name: 'Try again' })).toBeNull()
  })

  it('the list that was asked for a depth says so once, and tells of each rig once it can', async () => {
    breakWorkers()
    show(<Rigs open="" like={null} fly={null} onOpen={() => undefined} wanted={{ fromMm: 450, toMm: 600 }} onOutings={() => undefined} />) // prettier-ignore
    const button = await again()
    expect(screen.getAllByText('This could not be worked out.')).toHaveLength(1)
    expect(screen.queryByText(labels.reckons)).toBeNull()
    Object.assign(globalThis, { Worker: WorkerHere })
    act(() => button.click())
    await until(() => screen.queryAllByText(labels.reckons).length === 0 && screen.queryAllByText(/[Ll]ead it at|[Ll]ed at/)[0]) // prettier-ignore
  })

  it('which flies would do says so, and finds them once it can', async () => {
    const rig = await rigNamed('Tight line, one nymph')
    show(<Rigs open={rig.id} like={null} fly={null} onOpen={() => undefined} wanted={null} onOutings={() => undefined} />) // prettier-ignore
    const section = await screen.findByRole('region', { name: labels.whereItFishes })
    await until(() => within(section).queryByText(/hangs .* down|is on the bed/))
    breakWorkers()
    fireEvent.click(screen.getByRole('button', { name: labels.whichWouldDo }))
    const button = await again()
    Object.assign(globalThis, { Worker: WorkerHere })
    act(() => button.click())
    const found = await screen.findByRole('status', { name: labels.whichWouldDo })
    expect(found.textContent).toMatch(/point on hand/)
  })
})
