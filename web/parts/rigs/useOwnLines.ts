import { useMemo } from 'react'
import { lineOfGoods } from '../../../core/index.ts'
import type { RigPart } from '../../../core/index.ts'
import { drawerTitle } from '../../recipe/drawerState.ts'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { useStoresQuery } from '../../wire/api.ts'

/** A line of the stores, as the part of a rig that it is. */
export interface OwnLine {
  readonly id: string
  readonly name: string
  readonly is: ReturnType<typeof lineOfGoods>
}

type LinePart = Extract<RigPart, { readonly kind: 'line' }>

/** The fly lines that are on hand. */
export function useOwnLines(): readonly OwnLine[] {
  const { data } = useStoresQuery()
  const book = useMaterialBook()
  return useMemo(
    () =>
      (data?.materials ?? []).flatMap((line) => {
        const material = book?.materials.get(line.id)
        if (line.kind !== 'line' || (line.onHand ?? 0) <= 0 || !material) return []
        return [{ id: line.id as string, name: drawerTitle(line), is: lineOfGoods(material) }]
      }),
    [data, book],
  )
}

/** Which of the lines a part is; undefined for one that is none of them. */
export const ownLineOf = (part: LinePart, lines: readonly OwnLine[]): OwnLine | undefined =>
  lines.find(
    ({ is }) => is.sort === part.sort && is.diameterMm === part.diameterMm && is.rateMmPerS === part.rateMmPerS,
  )
