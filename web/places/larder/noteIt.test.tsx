// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../../testing/asked.ts'
import { choose } from '../../testing/choose.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { NewFood } from './NewFood.tsx'
import { NoteIt } from './NoteIt.tsx'

onTheDemo()

const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)
const type = (label: string, text: string) => fireEvent.change(field(label), { target: { value: text } })
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name })
const press = (name: string) => act(() => fireEvent.click(button(name)))

/** The reach of the moment and a food that nobody has noted there. */
async function unnoted() {
  const { moment } = await asked.frame()
  const { reachId, on } = moment!
  const { observations } = await asked.reachSeason(reachId)
  const noted = new Set<string>(observations.map(({ observation }) => observation.foodStageId))
  const stage = (await asked.larder()).stages.find(({ id, broods }) => !noted.has(id) && broods.length === 0)!
  return { reachId, on, stage }
}
const notesOf = async ({ reachId, stage }: Awaited<ReturnType<typeof unnoted>>) =>
  (await asked.reachSeason(reachId)).observations.filter(({ observation }) => observation.foodStageId === stage.id) // prettier-ignore

/** The form of a note for a food; how often it was done. */
function noteOf({ reachId, on, stage }: Awaited<ReturnType<typeof unnoted>>, noted?: Awaited<ReturnType<typeof notesOf>>[number]) {
  let done = 0
  show(<NoteIt stageId={stage.id} reachId={reachId} on={on} onDone={() => (done += 1)} {...(noted ? { noted } : {})} />)
  return () => done
} // prettier-ignore

describe('a note of a food', () => {
  it('is kept with its day, its minutes and its words, and what it changed is said', async () => {
    const food = await unnoted()
    const done = noteOf(food)
    type('on', '2026-05-20')
    type('minutes looked', '15')
    type('note', 'Under the alders.')
    press('Note it')
    await until(() => done() === 1)
    const [note] = await notesOf(food)
    expect(note!.observation).toMatchObject({
      reachId: food.reachId, on: '2026-05-20', kind: 'firstSeen', method: 'seen', count: null, effortMinutes: 15, note: 'Under the alders.',
    }) // prettier-ignore
    await until(() => (screen.getByRole('status').textContent ?? '').length > 0)
    expect(field('note').value).toBe('')
  })

  it('says how many only where some were counted', async () => {
    const food = await unnoted()
    const done = noteOf(food)
    await choose(/^I|I$/, 'counted some')
    type('how many', '40')
    await choose(/^I|I$/, 'saw it thick')
    press('Note it')
    await until(() => done() === 1)
    expect((await notesOf(food))[0]!.observation).toMatchObject({ kind: 'thick', count: null })
  })

  it.each([
    ['minutes looked', 'an hour'],
    ['minutes looked', '1441'],
    ['minutes looked', '2.5'],
    ['how many', 'lots'],
    ['how many', '100001'],
  ])('is not kept while %s is “%s”', async (label, text) => {
    noteOf(await unnoted())
    await choose(/^I|I$/, 'counted some')
    type(label, text)
    expect(button('Note it').disabled).toBe(true)
    expect(field(label).getAttribute('aria-invalid')).toBe('true')
  })

  it('of a day to come is refused at its day', async () => {
    const food = await unnoted()
    const done = noteOf(food)
    type('on', '2026-12-24')
    press('Note it')
    await until(() => field('on').getAttribute('aria-invalid') === 'true')
    expect(document.activeElement).toBe(field('on'))
    expect(done()).toBe(0)
    expect(await notesOf(food)).toEqual([])
  })

  it('in a fish comes with its caution', async () => {
    noteOf(await unnoted())
    const before = document.body.textContent
    await choose(/^how|how$/, 'in a fish')
    await until(() => document.body.textContent !== before)
    expect(screen.getByText(/throat|dead|keep/i)).toBeDefined()
  })

  it('is changed where it stands, keeping what is not asked', async () => {
    const food = await unnoted()
    const first = noteOf(food)
    type('on', '2026-05-02')
    press('Note it')
    await until(() => first() === 1)
    cleanup()
    const [note] = await notesOf(food)
    const done = noteOf(food, note)
    expect(field('on').value).toBe('2026-05-02')
    type('on', '2026-05-04')
    press('change it')
    await until(() => done() === 1)
    const after = await notesOf(food)
    expect(after).toHaveLength(1)
    expect(after[0]).toMatchObject({ id: note!.id, version: note!.version + 1 })
    expect(after[0]!.observation).toEqual({ ...note!.observation, on: '2026-05-04' })
  })
})

describe('a new food', () => {
  const made = async (name: string) => (await asked.larder()).stages.filter(({ foodName }) => foodName === name)

  /** The form of a new food, and what it was left for. */
  async function form() {
    const left: (string | null)[] = []
    const { stages } = await asked.larder()
    show(<NewFood stages={stages} onDone={(id) => left.push(id)} />)
    return { left, stages }
  }

  it('is like another, longer and later, with those of its stages that are wanted', async () => {
    const { left, stages } = await form()
    const [model] = [...new Set(stages.map(({ foodName }) => foodName))].sort((a, b) => a.localeCompare(b))
    const like = stages.filter(({ foodName }) => foodName === model)
    expect(button('Make it').disabled).toBe(true)
    type('Food', 'Bank crawler')
    type('As long, %', '150')
    press('Make it')
    await until(() => left.length > 0)
    const own = await made('Bank crawler')
    expect(own.map(({ stage }) => stage).sort()).toEqual(like.map(({ stage }) => stage).sort())
    expect(left[0]).toBe(own.find(({ id }) => id === left[0])?.id)
    const lengths = (line: (typeof own)[number]) => line.months.flatMap((month) => (month ? [month.lengthMmHigh] : [])) // prettier-ignore
    for (const stage of own) {
      const before = lengths(like.find((one) => one.stage === stage.stage)!)
      lengths(stage).forEach((mm, i) => expect(mm / before[i]!).toBeCloseTo(1.5, 1))
    }
  })

  it.each([
    ['As long, %', '1000'],
    ['As long, %', 'twice'],
    ['Comes later, months', '1.5'],
  ])('is not made while %s is “%s”, nor by what was read on the way', async (label, text) => {
    const { left } = await form()
    type('Food', 'Half made')
    type(label, text.slice(0, 1))
    type(label, text)
    press('Make it')
    expect(document.activeElement).toBe(field(label))
    expect(left).toEqual([])
    expect(await made('Half made')).toEqual([])
  })

  it('needs one stage at least', async () => {
    await form()
    type('Food', 'Nothing at all')
    for (const box of screen.getAllByRole('checkbox')) fireEvent.click(box)
    expect(button('Make it').disabled).toBe(true)
  })

  it('is left without a trace', async () => {
    const { left } = await form()
    type('Food', 'Never mind')
    press('Leave it')
    expect(left).toEqual([null])
    expect(await made('Never mind')).toEqual([])
  })
})
