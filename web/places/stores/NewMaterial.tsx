import { useState } from 'react'
import { MATERIAL_KINDS, wording } from '../../../core/index.ts'
import type { MaterialKind } from '../../../core/index.ts'
import type { FamilyId, MaterialId, Problem } from '../../../contract/index.ts'
import { useCatalogueQuery } from '../../wire/answers.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Form } from '../../ui/Form.tsx'
import { Select } from '../../ui/Select.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/stores.ts'

const UNKNOWN = 'unknown'

/** Goods that do not ship: a name, a kind, what they are most like if that is known, a colour. */
export default function NewMaterial({ onDone }: { readonly onDone: (materialId: string | null) => void }) {
  const { data: catalogue } = useCatalogueQuery()
  const command = useCommand()
  const [kind, setKind] = useState<MaterialKind>('dubbing')
  const [name, setName] = useState('')
  const [like, setLike] = useState<string>(UNKNOWN)
  const [size, setSize] = useState<string | null>(null)
  const [colour, setColour] = useState('')
  const [hex, setHex] = useState('#7a6a4f')
  const [problem, setProblem] = useState<Problem | null>(null)
  const families = (catalogue?.families ?? []).filter((family) => family.kind === kind)
  const kinds = MATERIAL_KINDS.filter((id) => catalogue?.families.some((family) => family.kind === id))
  const model = families.find(({ id }) => id === like) ?? families[0]
  const sizes = model?.sizes ?? []
  const sizeKey = sizes.includes(size ?? '') ? (size ?? '') : (sizes[0] ?? '')
  const save = async () => {
    const materialId = newId<MaterialId>()
    const delivery = await command(
      'familyCreate',
      {
        familyId: newId<FamilyId>(),
        kind,
        name,
        likeFamilyId: like === UNKNOWN ? null : (like as FamilyId),
        colours: [{ name: colour, hex }],
        drawer: { id: materialId, sizeKey },
      },
      { quietly: true },
    )
    if (delivery.kind === 'refused') setProblem(delivery.problem)
    else onDone(materialId)
  }
  return (
    <Section aria-label={labels.newMaterial}>
      <h2>{labels.newMaterial}</h2>
      <Form label={labels.newMaterial} onSubmit={() => void save()} problem={problem}>
        <Row $align="start">
          <Select
            label={labels.kind}
            value={kind}
            choices={kinds.map((id) => ({ id: id as string, name: id }))}
            onChange={(id) => {
              setKind(id as MaterialKind)
              setLike(UNKNOWN)
            }}
            width="130px"
          />
          <TextField
            name="name"
            label={labels.name}
            value={name}
            onChange={setName}
            width="200px"
            maxLength={80}
            autoFocus
          />
          <Select
            label={labels.mostLike}
            value={like}
            choices={[
              { id: UNKNOWN, name: 'nobody knows' },
              ...families.map((family) => ({ id: family.id as string, name: family.name })),
            ]}
            onChange={setLike}
            width="230px"
          />
          {sizes.length > 0 ? (
            <Select
              label={labels.size}
              value={sizeKey}
              choices={sizes.map((id) => ({ id, name: wording.goodsSize(kind, id) }))}
              onChange={setSize}
              width="110px"
            />
          ) : null}
          <TextField label={labels.colour} value={colour} onChange={setColour} width="130px" maxLength={40} />
          <input
            type="color"
            value={hex}
            onChange={({ target }) => setHex(target.value)}
            aria-label={labels.colourAsItLooks}
            style={{ width: 48, height: 34, padding: 2 }}
          />
        </Row>
        <p>
          <Quiet>
            {like === UNKNOWN
              ? 'It is reckoned with the usual figures of its kind, as uncertain as all of that kind together, until you weigh some.'
              : 'It is reckoned with the figures of what it is most like, trusted no further than a kind’s, until you weigh some.'}
          </Quiet>
        </p>
        <Row style={{ paddingTop: 8 }}>
          <Button type="submit" look="main" isDisabled={name.trim() === '' || colour.trim() === ''}>
            {labels.putItAmongYour}
          </Button>
          <Button onPress={() => onDone(null)}>{labels.leaveIt}</Button>
        </Row>
      </Form>
    </Section>
  )
}
