import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import {
  billOfMaterials,
  costOf,
  calibrationFor,
  instead,
  listed,
  resolveDressing,
  substitutesFor,
} from '../../../core/index.ts'
import type { Material } from '../../../core/index.ts'
import type { MaterialLine, UsesView } from '../../../contract/index.ts'
import {
  useMaterialUsesQuery,
  useMeasurementsQuery,
  usePatternQuery,
  useStoresQuery,
} from '../../wire/answers.ts'
import { useMoney } from '../../words/useMoney.ts'
import { useWording } from '../../words/useWording.ts'
import { Select } from '../../ui/Select.tsx'
import { Dense, Quiet, Section } from '../../ui/layout.tsx'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { drawerTitle } from '../../recipe/drawerState.ts'
import { labels } from '../../words/stores.ts'

const MOST = 6
/** Distances of colour that are not seen, and that are seen but pass. */
const UNSEEN = 0.03
const PASSES = 0.12

const colourWord = (distance: number) =>
  distance < UNSEEN ? 'the same colour' : distance < PASSES ? 'a near colour' : 'another colour'

/** What a fly costs, or by how much it is dearer than as it is; a dash where nobody noted a price. */
function costWords(asItIs: number | null, cost: number | null, money: (minor: number) => string): string {
  if (cost === null) return '–'
  if (asItIs === null) return money(cost)
  const dearer = cost - asItIs
  return Math.abs(dearer) < 0.5 ? 'the same' : `${dearer > 0 ? '+' : '−'}${money(Math.abs(dearer))}`
}

interface EffectProps {
  readonly wanted: MaterialLine
  readonly use: UsesView['uses'][number]
}

/** The nearest drawers, and what each would do to one fly. */
function Effects({ wanted, use }: EffectProps) {
  const { data: stores } = useStoresQuery()
  const { data: pattern } = usePatternQuery(use.patternId)
  const book = useMaterialBook()
  const { fall, mass, stock } = useWording()
  const { data: measurements } = useMeasurementsQuery()
  const money = useMoney()
  const found = useMemo(() => {
    const material = book?.materials.get(wanted.id)
    if (!book || !material || !stores) return []
    const there = stores.materials.flatMap(({ id, onHand }): Material[] => {
      const candidate = book.materials.get(id)
      return candidate && onHand !== null && onHand > 0 ? [candidate] : []
    })
    return substitutesFor(material, there).slice(0, MOST)
  }, [book, stores, wanted.id])
  if (!book || !pattern || !stores || !measurements)
    return <p aria-busy="true">{labels.lookingThroughTheDrawers}</p>
  if (found.length === 0) return <p>{labels.nothingOfItsKind}</p>
  const drawers = new Map(stores.materials.map((line) => [line.id as string, line]))
  const workedOut = (materialId: string) => {
    const variant = pattern.variants.find(({ id }) => id === use.variantId)
    const recipe = variant && instead(pattern.dressing, variant, wanted.id, materialId)
    const fly = recipe ? resolveDressing(recipe.dressing, recipe.variant, book.materials) : null
    if (fly?.kind !== 'fly') return null
    const cost = costOf(billOfMaterials(fly), (id) => drawers.get(id) ?? null)
    const own = materialId === wanted.id ? use.variantId : 'instead'
    return {
      ...listed(fly, calibrationFor(fly, own, measurements.measured)),
      cost: cost.unpriced.includes(materialId) ? null : cost.minor,
    }
  }
  const now = workedOut(wanted.id)
  const rows = [{ id: wanted.id as string, colour: null as string | null }].concat(
    found.map(({ material, colourDistance }) => ({ id: material.id, colour: colourWord(colourDistance) })),
  )
  return (
    <Dense aria-label={`Instead of ${drawerTitle(wanted)}`}>
      <thead>
        <tr>
          <th>{labels.withWord}</th>
          <th className="number">{labels.onHand}</th>
          <th>{labels.theFly}</th>
          <th className="number">{labels.weighs}</th>
          <th className="number">{labels.costs}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ id, colour }) => {
          const line = drawers.get(id)
          const worked = workedOut(id)
          if (!line) return null
          return (
            <tr key={id}>
              <td>
                <span
                  style={{
                    display: 'inline-block',
                    width: 13,
                    height: 13,
                    marginRight: 7,
                    border: '1px solid var(--quiet)',
                    background: line.colourHex,
                    verticalAlign: -2,
                  }}
                />
                {colour === null ? (
                  <>{drawerTitle(line)} itself</>
                ) : (
                  <>
                    <Link to={`/stores?material=${id}`}>{drawerTitle(line)}</Link> <Quiet>{colour}</Quiet>
                  </>
                )}
              </td>
              <td className="number">
                {line.onHand === null ? 'not counted' : stock(line.onHand, line.stockUnit)}
              </td>
              <td>{worked ? fall(worked) : 'is no fly'}</td>
              <td className="number">{worked ? mass(worked.massMg) : ''}</td>
              <td className="number">
                {costWords(colour === null ? null : (now?.cost ?? null), worked?.cost ?? null, money)}
              </td>
            </tr>
          )
        })}
      </tbody>
    </Dense>
  )
}

/** What may stand in for a material, and what that does to a fly that takes it. */
export function Substitutes({ line }: { readonly line: MaterialLine }) {
  const { data } = useMaterialUsesQuery(line.id)
  const [chosen, setChosen] = useState<string | null>(null)
  const uses = data?.uses ?? []
  const use = uses.find(({ variantId }) => variantId === chosen) ?? uses[0]
  if (!use) return null
  return (
    <Section aria-label={labels.insteadOfIt}>
      <h2>{labels.insteadOfIt}</h2>
      <Select
        label={labels.inTheFly}
        value={use.variantId}
        choices={uses.map(({ variantId, patternName, label }) => ({
          id: variantId as string,
          name: `${patternName} ${label}`,
        }))}
        onChange={setChosen}
        width="260px"
      />
      <Effects wanted={line} use={use} />
    </Section>
  )
}
