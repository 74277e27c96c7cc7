// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import type { Problem } from '../../contract/index.ts'
import { onTheDemo, show } from '../testing/onThePage.tsx'
import { Button } from './Button.tsx'
import { NoteField, TextField } from './fields.tsx'
import { Form } from './Form.tsx'
import { NumberField } from './NumberField.tsx'
import { Select } from './Select.tsx'

onTheDemo()

const refusal = (...fields: Problem['fields']): Problem => ({
  type: 'urn:test', title: 'Refused', status: 422, code: 'invalidInput', detail: 'The sheet says no.', fields,
}) // prettier-ignore

/** A form of a name, a number of turns, a sort and a note, with what was sent of it. */
function filled({
  problem = null,
  saysItself = false,
  sort = 'dry',
}: { problem?: Problem | null; saysItself?: boolean; sort?: string } = {}) {
  const sent: object[] = []
  function Filled() {
    const [name, setName] = useState('Test fly')
    const [turns, setTurns] = useState<number | null>(3)
    const [note, setNote] = useState('')
    return (
      <Form
        label="Test form"
        onSubmit={() => sent.push({ name, turns, note })}
        problem={problem}
        saysItself={saysItself}
      >
        <TextField
          name="fly.name"
          label="Name"
          value={name}
          onChange={setName}
          fault={name === '' ? 'It needs one.' : undefined}
        />
        <NumberField name="fly.turns" label="Turns" value={turns} min={1} max={20} onChange={setTurns} />
        <Select
          label="Sort"
          value={sort}
          choices={[{ id: 'dry', name: 'dry' }]}
          onChange={() => undefined}
          fault={sort === 'dry' ? undefined : 'Choose one.'}
        />
        <NoteField name="fly.note" label="Note" value={note} onChange={setNote} />
        <Button type="submit">Send</Button>
      </Form>
    )
  }
  show(<Filled />)
  return sent
}

const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)
const type = (label: string, text: string) => fireEvent.change(field(label), { target: { value: text } })
const send = () => fireEvent.click(screen.getByRole('button', { name: 'Send' }))

describe('a form', () => {
  it('is sent with what stands in it', () => {
    const sent = filled()
    type('Turns', '4½')
    type('Note', 'Thin.')
    send()
    expect(sent).toEqual([{ name: 'Test fly', turns: 4.5, note: 'Thin.' }])
  })

  it.each([
    ['Turns', '30'],
    ['Turns', '3o'],
    ['Turns', ''],
    ['Name', ''],
  ])('is not sent while %s is “%s”: that field has the focus, and keeps what was typed', (label, text) => {
    const sent = filled()
    type(label, text)
    send()
    expect(sent).toEqual([])
    expect(document.activeElement).toBe(field(label))
    expect(field(label).value).toBe(text)
    expect(field(label).getAttribute('aria-invalid')).toBe('true')
    type(label, '7')
    send()
    expect(sent).toHaveLength(1)
  })

  it('goes by what was typed last, not by what was read on the way to it', () => {
    const sent = filled()
    // 2, then 25: the first of the two would do
    type('Turns', '2')
    type('Turns', '25')
    send()
    expect(sent).toEqual([])
    type('Turns', '12')
    send()
    expect(sent).toEqual([{ name: 'Test fly', turns: 12, note: '' }])
  })

  it('leads to the first of several faults', () => {
    const sent = filled()
    type('Turns', 'many')
    type('Name', '')
    send()
    expect(sent).toEqual([])
    expect(document.activeElement).toBe(field('Name'))
  })

  it('leads to a choice that was not made', () => {
    const sent = filled({ sort: 'none' })
    send()
    expect(sent).toEqual([])
    expect(document.activeElement?.textContent).toContain('Choose')
  })
})

describe('what the server refused of a form', () => {
  const tooMany = { path: 'fly.turns', message: 'Three turns at most on this hook.' }

  it('is said at its field, which has the focus, and below all of them', () => {
    filled({ problem: refusal(tooMany) })
    expect(field('Turns').getAttribute('aria-invalid')).toBe('true')
    expect(screen.getByText(tooMany.message)).toBeDefined()
    expect(document.activeElement).toBe(field('Turns'))
    expect(screen.getByRole('alert').textContent).toBe('The sheet says no.')
    expect(field('Name').getAttribute('aria-invalid')).toBeNull()
  })

  it('leads to the first of its fields as they stand in the form, a note among them', () => {
    filled({ problem: refusal({ path: 'fly.note', message: 'Shorter.' }, tooMany) })
    expect(document.activeElement).toBe(field('Turns'))
    expect(field('Note').getAttribute('aria-invalid')).toBe('true')
  })

  it('does not hold back what is sent anew: only the server knows whether that will do', () => {
    const sent = filled({ problem: refusal(tooMany) })
    type('Name', 'Another')
    send()
    expect(sent).toEqual([{ name: 'Another', turns: 3, note: '' }])
  })

  it('moves nothing where it names no field of the form', () => {
    filled({ problem: refusal({ path: 'fly.hook', message: 'None such.' }) })
    expect(document.activeElement).toBe(document.body)
    expect(screen.getByRole('alert').textContent).toBe('The sheet says no.')
  })

  it('is said once where a long form says it at its head', () => {
    filled({ problem: refusal(tooMany), saysItself: true })
    expect(screen.queryByRole('alert')).toBeNull()
    expect(screen.getByText(tooMany.message)).toBeDefined()
  })
})
