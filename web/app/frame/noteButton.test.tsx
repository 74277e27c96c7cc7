// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { asked } from '../../testing/asked.ts'
import { onTheDemo, show, until } from '../../testing/onThePage.tsx'
import { useFrameQuery } from '../../wire/answers.ts'
import { NoteButton } from './NoteButton.tsx'

onTheDemo()

function Foot() {
  const { data } = useFrameQuery()
  return data ? <NoteButton frame={data} /> : null
}

/** The panel, with foods to tap. */
async function opened() {
  show(<Foot />)
  fireEvent.click(await until(() => screen.queryByRole('button', { name: 'Note what you see' })))
  const panel = await until(() => screen.queryByRole('dialog', { name: 'Note what you see' }))
  await until(() => within(panel).queryAllByRole('button').length > 3)
  return within(panel)
}
const said = (panel: Awaited<ReturnType<typeof opened>>) =>
  until(() => panel.getByRole('status').textContent || null)
const notes = async () => {
  const { moment } = await asked.frame()
  return (await asked.reachSeason(moment!.reachId)).observations
}

describe('NoteButton', () => {
  it('notes a food in two taps, and says what that changed', async () => {
    const before = (await notes()).length
    const panel = await opened()
    fireEvent.click(panel.getByRole('button', { name: /^Large burrowing mayfly, dun/ }))
    expect(await said(panel)).toMatch(
      /^Large burrowing mayfly, dun: .*(earlier|later|fish on it|moves nothing)/,
    )
    const now = await notes()
    expect(now).toHaveLength(before + 1)
    expect(now.find(({ stageName, observation }) => stageName === 'dun' && observation.on === '2026-06-04')?.observation).toMatchObject({ kind: 'thick', method: 'seen' }) // prettier-ignore
  })

  it('counts several foods of one net and notes them together', async () => {
    const panel = await opened()
    fireEvent.click(panel.getByRole('checkbox'))
    for (const sought of ['shrimp adult', 'net-spinning larva']) {
      fireEvent.change(panel.getByRole('textbox', { name: /^Food/ }), { target: { value: sought } })
      const [food] = panel.getAllByRole('button').filter(({ textContent }) => textContent?.includes(','))
      fireEvent.click(food!)
    }
    const together = panel.getByRole('button', { name: 'Note them' }) as HTMLButtonElement
    expect(together.disabled).toBe(true)
    panel.getAllByRole('textbox', { name: 'How many' }).forEach((field, i) => {
      fireEvent.change(field, { target: { value: String(12 + i) } })
    })
    fireEvent.click(together)
    expect((await said(panel)).split('.').filter(Boolean)).toHaveLength(2)
    const counted = (await notes()).filter(({ observation }) => observation.kind === 'counted')
    expect(counted.map(({ observation }) => observation.count).sort()).toEqual([12, 13])
  })
})
