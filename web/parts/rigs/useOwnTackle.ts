import { useMemo } from 'react'
import { isPartOf, lengthOf, lineOfGoods, partOfGoods } from '../../../core/index.ts'
import type { Material, RigPart } from '../../../core/index.ts'
import { drawerTitle } from '../../recipe/drawerState.ts'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { useStoresQuery } from '../../wire/answers.ts'

/** Goods of the stores that rigs are made of. */
export interface OwnTackle {
  readonly id: string
  readonly name: string
  readonly kind: RigPart['kind']
  /** as parts of a rig: of a line its belly and its tip, of so much of it in all */
  readonly parts: (lengthMm: number) => readonly RigPart[]
}

function tackleOf(id: string, name: string, material: Material): readonly OwnTackle[] {
  if (material.family.kind === 'line')
    return [{ id, name, kind: 'line', parts: (lengthMm) => lineOfGoods(material, lengthMm) }]
  const part = partOfGoods(material)
  return part ? [{ id, name, kind: part.kind, parts: () => [part] }] : []
}

/** Line, leaders, tippet and what is tied in or pinched on, as far as it is on hand. */
export function useOwnTackle(): readonly OwnTackle[] {
  const { data } = useStoresQuery()
  const book = useMaterialBook()
  return useMemo(
    () =>
      (data?.materials ?? []).flatMap((drawer) => {
        const material = book?.materials.get(drawer.id)
        return material && (drawer.onHand ?? 0) > 0 ? tackleOf(drawer.id, drawerTitle(drawer), material) : []
      }),
    [data, book],
  )
}

const lineOf = (parts: readonly RigPart[]) => parts.filter(({ kind }) => kind === 'line')
const lineMm = (parts: readonly RigPart[]) => lineOf(parts).reduce((sum, part) => sum + lengthOf(part), 0)

/** Which of the tackle a part of a rig is; undefined for one that is none of it. */
export function ownTackleOf(
  part: RigPart,
  parts: readonly RigPart[],
  tackle: readonly OwnTackle[],
): OwnTackle | undefined {
  const alike = tackle.filter(({ kind }) => kind === part.kind)
  if (part.kind !== 'line') return alike.find((own) => own.parts(0).every((one) => isPartOf(part, one)))
  const line = lineOf(parts)
  return alike.find((own) => {
    const pieces = own.parts(lineMm(parts))
    return pieces.length === line.length && pieces.every((one, i) => line[i] && isPartOf(line[i], one))
  })
}

/** A rig with tackle of the stores in the place of a part: a line is all that there is of it, tippet keeps its length. */
export function withTackle(at: number, parts: readonly RigPart[], own: OwnTackle): readonly RigPart[] {
  const part = parts[at]
  if (part?.kind === 'line') {
    const first = parts.findIndex(({ kind }) => kind === 'line')
    const rest = parts.filter(({ kind }) => kind !== 'line')
    return [...rest.slice(0, first), ...own.parts(lineMm(parts)), ...rest.slice(first)]
  }
  const put = own
    .parts(0)
    .map((one) => (one.kind === 'tippet' && part ? { ...one, lengthMm: lengthOf(part) } : one))
  return [...parts.slice(0, at), ...put, ...parts.slice(at + 1)]
}
