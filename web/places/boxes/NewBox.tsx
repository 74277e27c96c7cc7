import { useState } from 'react'
import { within } from '../../../contract/limits.ts'
import { LAYOUTS, wording } from '../../../core/index.ts'
import type { Layout } from '../../../core/index.ts'
import type { BoxId, Problem } from '../../../contract/index.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, TextField } from '../../ui/fields.tsx'
import { Form } from '../../ui/Form.tsx'
import { Select } from '../../ui/Select.tsx'
import { Dense, Quiet, Row, Section } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { arrangedCompartments, bareCompartments } from './newBox.ts'
import type { Held } from './newBox.ts'
import { useArranged } from './useArranged.ts'
import { labels } from '../../words/boxes.ts'

const EMPTY = 'empty'

/** The proposed compartments with the flies that would have their places there, each to be left out. */
function Proposed({
  places,
  flies,
  leftOut,
  onLeaveOut,
  heldBy,
}: NonNullable<ReturnType<typeof useArranged>> & {
  readonly leftOut: ReadonlySet<string>
  readonly onLeaveOut: (code: string, out: boolean) => void
  readonly heldBy: Held
}) {
  return (
    <Dense aria-label={labels.proposedCompartments} style={{ margin: '10px 0' }}>
      <thead>
        <tr>
          <th>{labels.compartment}</th>
          <th>{labels.fliesThatWouldHave}</th>
          <th className="number">{labels.onHand}</th>
        </tr>
      </thead>
      <tbody>
        {places.map(({ code, flyKeys }) => (
          <tr key={code}>
            <td style={{ whiteSpace: 'nowrap' }}>
              <Checkbox isSelected={!leftOut.has(code)} onChange={(on) => onLeaveOut(code, !on)}>
                {wording.proposedPlaceName(code)}
              </Checkbox>
            </td>
            <td>
              <Quiet>{flyKeys.map((key) => flies.get(key)?.name).join(', ')}</Quiet>
            </td>
            <td className="number">{heldBy(flyKeys)}</td>
          </tr>
        ))}
      </tbody>
    </Dense>
  )
}

/** A new box: empty, or arranged after one of the schools with the flies that belong into each compartment. */
export default function NewBox({ onDone }: { readonly onDone: () => void }) {
  const command = useCommand()
  const [name, setName] = useState('')
  const [layout, setLayout] = useState<Layout | null>(null)
  const [rows, setRows] = useState<number | null>(6)
  const [columns, setColumns] = useState<number | null>(1)
  const [slits, setSlits] = useState<number | null>(12)
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set())
  const [moveFlies, setMoveFlies] = useState(false)
  const [problem, setProblem] = useState<Problem | null>(null)
  const arranged = useArranged(layout)
  const places = (arranged?.places ?? []).filter(({ code }) => !leftOut.has(code))
  const heldBy = (keys: readonly string[]) =>
    keys.reduce((sum, key) => sum + (arranged?.flies.get(key)?.onHand ?? 0), 0)

  const save = async () => {
    const body = layout
      ? { ...arrangedCompartments(name, places, slits, heldBy), moveFlies }
      : { compartments: bareCompartments(rows ?? 1, columns ?? 1, slits) }
    const delivery = await command(
      'boxCreate',
      { boxId: newId<BoxId>(), name, note: layout ? wording.layoutName[layout] : '', ...body },
      { quietly: true },
    )
    if (delivery.kind === 'refused') setProblem(delivery.problem)
    else onDone()
  }
  const ready = name.trim() !== '' && (layout ? places.length > 0 : Boolean(rows && columns))
  return (
    <Section aria-label={labels.newBox}>
      <Form label={labels.newBox} onSubmit={() => void save()} problem={problem}>
        <Row $align="start">
          <TextField
            name="name"
            label={labels.name}
            value={name}
            onChange={setName}
            width="200px"
            autoFocus
            maxLength={40}
          />
          <Select
            label={labels.arranged}
            value={layout ?? EMPTY}
            choices={[
              { id: EMPTY, name: 'as you fill it' },
              ...LAYOUTS.map((id) => ({ id: id as string, name: wording.layoutName[id] })),
            ]}
            onChange={(id) => {
              setLeftOut(new Set())
              setLayout(id === EMPTY ? null : (id as Layout))
            }}
            width="190px"
          />
          {layout ? null : (
            <>
              <NumberField
                label={labels.rows}
                value={rows}
                min={1}
                max={20}
                whole
                width="80px"
                onChange={setRows}
              />
              <NumberField
                label={labels.columns}
                value={columns}
                min={1}
                max={10}
                whole
                width="80px"
                onChange={setColumns}
              />
            </>
          )}
          <NumberField
            label={labels.slitsInEach}
            value={slits}
            {...within('capacity')}
            width="100px"
            onChange={setSlits}
          />
        </Row>
        {layout && !arranged ? <p aria-busy="true">{labels.sortingTheFlies}</p> : null}
        {arranged ? (
          <>
            <Proposed
              {...arranged}
              leftOut={leftOut}
              onLeaveOut={(code, out) =>
                setLeftOut(
                  (before) => new Set(out ? [...before, code] : [...before].filter((one) => one !== code)),
                )
              }
              heldBy={heldBy}
            />
            <Checkbox isSelected={moveFlies} onChange={setMoveFlies}>
              {labels.moveWhatIsOn}
            </Checkbox>
          </>
        ) : null}
        <Row style={{ paddingTop: 8 }}>
          <Button type="submit" look="main" isDisabled={!ready}>
            {labels.makeTheBox}
          </Button>
          <Button onPress={onDone}>{labels.leaveIt}</Button>
        </Row>
      </Form>
    </Section>
  )
}
