import { useState } from 'react'
import { newId, useCommand } from '../../app/useCommand.ts'
import type { BoxId, CompartmentId } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Fault, Row, Section } from '../../ui/layout.tsx'
import { NumberField } from '../patterns/ComponentFields.tsx'

/** A box of rows and columns, each compartment with its slits. */
export function NewBox({ onDone }: { readonly onDone: () => void }) {
  const command = useCommand()
  const [name, setName] = useState('')
  const [rows, setRows] = useState<number | undefined>(6)
  const [columns, setColumns] = useState<number | undefined>(1)
  const [slits, setSlits] = useState<number | undefined>(12)
  const [fault, setFault] = useState<string | null>(null)
  const save = async () => {
    const compartments = Array.from({ length: (rows ?? 1) * (columns ?? 1) }, (_, i) => ({
      id: newId<CompartmentId>(),
      row: Math.floor(i / (columns ?? 1)) + 1,
      column: (i % (columns ?? 1)) + 1,
      label: '',
      capacity: slits ?? null,
    }))
    const delivery = await command(
      'boxCreate',
      { boxId: newId<BoxId>(), name, note: '', compartments },
      { quietly: true },
    )
    if (delivery.kind === 'refused') setFault(delivery.problem.detail)
    else onDone()
  }
  return (
    <Section aria-label="New box">
      <Row $align="start">
        <TextField label="Name" value={name} onChange={setName} width="200px" autoFocus maxLength={80} />
        <NumberField label="Rows" value={rows} min={1} max={20} whole onChange={setRows} width="80px" />
        <NumberField
          label="Columns"
          value={columns}
          min={1}
          max={10}
          whole
          onChange={setColumns}
          width="80px"
        />
        <NumberField
          label="Slits in each"
          value={slits}
          min={1}
          max={500}
          whole
          onChange={setSlits}
          width="100px"
        />
      </Row>
      {fault ? <Fault>{fault}</Fault> : null}
      <Row style={{ paddingTop: 8 }}>
        <Button look="main" onPress={() => void save()} isDisabled={name.trim() === '' || !rows || !columns}>
          Make the box
        </Button>
        <Button onPress={onDone}>Leave it</Button>
      </Row>
    </Section>
  )
}
