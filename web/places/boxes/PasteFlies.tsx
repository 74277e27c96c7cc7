import { useState } from 'react'
import { wording } from '../../../core/index.ts'
import type { BoxLine, CompartmentId } from '../../../contract/index.ts'
import { useCatalogueQuery, useStoresQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { placeChoices } from '../../parts/placeChoices.ts'
import { Button } from '../../ui/Button.tsx'
import { NoteField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Dense, Fault, Quiet, Row, Section } from '../../ui/layout.tsx'
import { makeBareFlies } from './bareFlies.ts'
import {
  fliesIn,
  isUnsettled,
  NO_RECIPE,
  patternNamesOf,
  putLines,
  readFlyLines,
  usualHooks,
} from './flyLines.ts'
import type { Chosen, PastedLine } from './flyLines.ts'
import { useNamedFlies } from './useNamedFlies.ts'
import { useMayOverfill } from '../../parts/useMayOverfill.tsx'
import { labels } from '../../words/boxes.ts'

const MOST_LINES = 200

/** What a line says: the fly that it means, the flies that it could mean, or why it is not understood. */
function Meaning({
  pasted: { line, read, named },
  chosen,
  onChoose,
}: {
  readonly pasted: PastedLine
  readonly chosen: string | null
  readonly onChoose: (key: string) => void
}) {
  if (read.kind === 'unclear')
    return (
      <Fault>
        {line}: {wording.flyLineFaultSentence(read)}
      </Fault>
    )
  if (named.length > 1)
    return (
      <Select
        label={`Which ${read.name}`}
        hideLabel
        placeholder={`which ${read.name} …`}
        value={chosen}
        choices={[
          ...named.map(({ key, patternName, label }) => ({ id: key, name: `${patternName} ${label}` })),
          { id: NO_RECIPE, name: 'another, without a recipe' },
        ]}
        onChange={onChoose}
        width="260px"
      />
    )
  if (named[0])
    return (
      <>
        {named[0].patternName} {named[0].label}
      </>
    )
  return (
    <>
      {read.name} {read.hookSize ? `#${read.hookSize}` : ''}{' '}
      <Quiet>new, without a recipe{read.hookSize ? '' : '; size unknown'}</Quiet>
    </>
  )
}

function Understood({
  lines,
  chosen,
  onChoose,
}: {
  readonly lines: readonly PastedLine[]
  readonly chosen: Chosen
  readonly onChoose: (line: string, key: string) => void
}) {
  return (
    <Dense aria-label={labels.whatWasUnderstood} style={{ width: 'auto', margin: '8px 0' }}>
      <thead>
        <tr>
          <th className="number">{labels.flies}</th>
          <th>{labels.understoodAs}</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((pasted, i) => (
          <tr key={`${i} ${pasted.line}`}>
            <td className="number">{pasted.read.kind === 'fly' ? pasted.read.count : ''}</td>
            <td>
              <Meaning
                pasted={pasted}
                chosen={chosen[pasted.line] ?? null}
                onChoose={(key) => onChoose(pasted.line, key)}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </Dense>
  )
}

/** Flies typed or pasted, a line each: those that have a recipe are found by name, the others are made with name and hook. */
export default function PasteFlies({
  boxes,
  onDone,
}: {
  readonly boxes: readonly BoxLine[]
  readonly onDone: () => void
}) {
  const flies = useNamedFlies()
  const { data: stores } = useStoresQuery()
  const { data: catalogue } = useCatalogueQuery()
  const command = useCommand()
  const { send, refusal } = useMayOverfill()
  const [text, setText] = useState('')
  const [placeId, setPlaceId] = useState<string | null>(null)
  const [hooksId, setHooksId] = useState<string | null>(null)
  const [chosen, setChosen] = useState<Chosen>({})
  const hooks = (catalogue?.families ?? []).filter(({ kind }) => kind === 'hook')
  const family = hooks.find(({ id }) => id === (hooksId ?? usualHooks(stores?.materials ?? []))) ?? hooks[0]
  const places = placeChoices(boxes)
  const lines = readFlyLines(text, flies)
  const unsettled = lines.some((line) => isUnsettled(line, chosen))
  const total = fliesIn(lines)
  const put = async () => {
    if (!family || !placeId) return
    const bare = makeBareFlies(family, stores?.materials ?? [], patternNamesOf(flies))
    const put = putLines(lines, chosen, placeId as CompartmentId, bare)
    const { newFlies, newMaterials } = bare
    const delivery = await send((anyway) =>
      command('fliesPutIn', { how: 'found', anyway, newFlies, newMaterials, lines: put }, { quietly: true }),
    )
    if (delivery.kind === 'done') onDone()
  }
  return (
    <Section aria-label={labels.putFliesIn}>
      <h2>{labels.putFliesIn}</h2>
      <p>{labels.aLineEachName}</p>
      <NoteField
        label={labels.fliesSuchAsOlive}
        value={text}
        onChange={setText}
        width="420px"
        rows={8}
        fault={lines.length > MOST_LINES ? `At most ${MOST_LINES} lines at once.` : undefined}
      />
      {lines.length > 0 ? (
        <Understood
          lines={lines}
          chosen={chosen}
          onChoose={(line, key) => setChosen((before) => ({ ...before, [line]: key }))}
        />
      ) : null}
      <Row $align="end">
        <Select label={labels.into} value={placeId} choices={places} onChange={setPlaceId} width="260px" />
        <Select
          label={labels.hooksOfWhatIs}
          value={family?.id ?? null}
          choices={hooks.map(({ id, name }) => ({ id: id as string, name }))}
          onChange={setHooksId}
          width="220px"
        />
        <Button
          look="main"
          onPress={() => void put()}
          isDisabled={total === 0 || unsettled || !placeId || lines.length > MOST_LINES}
        >
          Put {total === 1 ? 'one fly' : `${total} flies`} in
        </Button>
        <Button onPress={onDone}>{labels.leaveIt}</Button>
      </Row>
      {refusal}
    </Section>
  )
}
