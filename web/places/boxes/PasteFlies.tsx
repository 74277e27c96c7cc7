import { useState } from 'react'
import { fliesNamed, readFlyLine, wording } from '../../../core/index.ts'
import type { NamedFly } from '../../../core/index.ts'
import type { BoxLine, CompartmentId, MaterialLine, VariantId } from '../../../contract/index.ts'
import { useCatalogueQuery, usePatternsQuery, useStoresQuery } from '../../wire/api.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { NoteField, Select } from '../../ui/fields.tsx'
import { Dense, Fault, Quiet, Row, Section } from '../../ui/layout.tsx'
import { makeBareFlies } from './bareFlies.ts'
import { useMayOverfill } from '../../parts/useMayOverfill.tsx'

const NO_RECIPE = 'without a recipe'
const MOST_LINES = 200

/** All flies by the names that a line may call them. */
export function useNamedFlies(): readonly NamedFly[] {
  const { data } = usePatternsQuery()
  return (data?.patterns ?? []).flatMap(({ name, variants }) =>
    variants.map(({ id, label }) => ({ key: id, patternName: name, label })),
  )
}

/** Names that patterns have. */
export const patternNamesOf = (flies: readonly NamedFly[]): readonly string[] => [
  ...new Set(flies.map(({ patternName }) => patternName)),
]

/** The family of hooks of which there are most sizes in the stores. */
function usualHooks(drawers: readonly MaterialLine[]): string | null {
  const sizes = new Map<string, number>()
  for (const { kind, familyId } of drawers)
    if (kind === 'hook') sizes.set(familyId, (sizes.get(familyId) ?? 0) + 1)
  return [...sizes].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null
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
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({})
  const hooks = (catalogue?.families ?? []).filter(({ kind }) => kind === 'hook')
  const family = hooks.find(({ id }) => id === (hooksId ?? usualHooks(stores?.materials ?? []))) ?? hooks[0]
  const places = boxes.flatMap(({ name, compartments }) =>
    compartments.map(({ id, label }) => ({ id: id as string, name: `${name}: ${label}` })),
  )
  const lines = text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const read = readFlyLine(line)
      return { line, read, named: read.kind === 'fly' ? fliesNamed(read, flies) : [] }
    })
  const unsettled = lines.some(
    ({ line, read, named }) => read.kind === 'unclear' || (named.length > 1 && !chosen[line]),
  )
  const total = lines.reduce((sum, { read }) => sum + (read.kind === 'fly' ? read.count : 0), 0)
  const put = async () => {
    if (!family || !placeId) return
    const bare = makeBareFlies(family, stores?.materials ?? [], patternNamesOf(flies))
    const put = lines.flatMap(({ line, read, named }) => {
      if (read.kind !== 'fly') return []
      const key = chosen[line] ?? (named.length === 1 ? named[0]?.key : undefined)
      const isKnown = key !== undefined && key !== NO_RECIPE
      const variantId = isKnown ? (key as VariantId) : bare.variantFor(read.name, read.hookSize)
      return [{ compartmentId: placeId as CompartmentId, variantId, count: read.count }]
    })
    const { newFlies, newMaterials } = bare
    const delivery = await send((anyway) =>
      command('fliesPutIn', { how: 'found', anyway, newFlies, newMaterials, lines: put }, { quietly: true }),
    )
    if (delivery.kind === 'done') onDone()
  }
  return (
    <Section aria-label="Put flies in">
      <h2>Put flies in</h2>
      <p>
        A line each: name, hook size, how many. What has no recipe is kept by its name: bought, given, found.
      </p>
      <NoteField
        label="Flies, such as: olive jig 14 x6"
        value={text}
        onChange={setText}
        width="420px"
        rows={8}
        fault={lines.length > MOST_LINES ? `At most ${MOST_LINES} lines at once.` : undefined}
      />
      {lines.length > 0 ? (
        <Dense aria-label="What was understood" style={{ width: 'auto', margin: '8px 0' }}>
          <thead>
            <tr>
              <th className="number">flies</th>
              <th>understood as</th>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ line, read, named }, i) => (
              <tr key={`${i} ${line}`}>
                <td className="number">{read.kind === 'fly' ? read.count : ''}</td>
                <td>
                  {read.kind === 'unclear' ? (
                    <Fault>
                      {line}: {wording.flyLineFaultSentence(read)}
                    </Fault>
                  ) : named.length > 1 ? (
                    <Select
                      label={`Which ${read.name}`}
                      hideLabel
                      placeholder={`which ${read.name} …`}
                      value={chosen[line] ?? null}
                      choices={[
                        ...named.map(({ key, patternName, label }) => ({
                          id: key,
                          name: `${patternName} ${label}`,
                        })),
                        { id: NO_RECIPE, name: 'another, without a recipe' },
                      ]}
                      onChange={(key) => setChosen((before) => ({ ...before, [line]: key }))}
                      width="260px"
                    />
                  ) : named[0] ? (
                    `${named[0].patternName} ${named[0].label}`
                  ) : (
                    <>
                      {read.name} {read.hookSize ? `#${read.hookSize}` : ''}{' '}
                      <Quiet>new, without a recipe{read.hookSize ? '' : '; size unknown'}</Quiet>
                    </>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Dense>
      ) : null}
      <Row $align="end">
        <Select label="Into" value={placeId} choices={places} onChange={setPlaceId} width="260px" />
        <Select
          label="Hooks of what is new"
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
        <Button onPress={onDone}>Leave it</Button>
      </Row>
      {refusal}
    </Section>
  )
}
