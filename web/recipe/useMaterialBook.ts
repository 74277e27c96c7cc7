import { useCallback, useEffect, useMemo, useState } from 'react'
import { whenWet } from '../../core/index.ts'
import type { Material, MaterialFamily } from '../../core/index.ts'
import type { FamilyFull, MaterialLine } from '../../contract/index.ts'
import { useCatalogueQuery, useFamiliesQuery, useStoresQuery } from '../wire/answers.ts'
import { api } from '../wire/api.ts'
import { useAppDispatch } from '../wire/store.ts'
import { newId } from '../wire/useCommand.ts'
import type { NewDrawer } from './draft.ts'

/** Materials as the pattern sheet needs them: drawers with physics, families to choose from. */
export interface MaterialBook {
  readonly materials: ReadonlyMap<string, Material>
  readonly families: readonly FamilyFull[]
  /** family of a drawer, by its id */
  readonly familyOf: (materialId: string) => FamilyFull | null
  /** the drawer of a family, size and colour: one that is there, or a new one for the draft to mint */
  readonly drawer: (
    familyId: string,
    sizeKey: string,
    colourName: string,
    /** of a colour that the family does not list */
    colourHex?: string,
  ) => Promise<{ id: string; material: Material; minted: NewDrawer | null }>
  readonly onHandOf: (materialId: string) => number | null
  /** price of one piece or of one mm, in the currency's smallest coin, by family: the drawer's own, else a sister's */
  readonly costOf: (materialId: string, familyId: string) => number | null
}

const PIECE_STEPS = 100

/** What one piece or one mm of a drawer costs; null where its pack or price is not noted. */
function unitCost({ priceMinor, packAmount, stockUnit }: MaterialLine): number | null {
  if (priceMinor === null || packAmount === null) return null
  return (priceMinor / packAmount) * (stockUnit === 'count' ? PIECE_STEPS : 1)
}

const toCore = (family: FamilyFull): MaterialFamily => family

/** A drawer as core reckons with it. */
export function toMaterial(
  family: FamilyFull,
  { id, sizeKey, colourName, colourHex }: Omit<NewDrawer, 'familyId'>,
): Material {
  const listed = family.colours.find(({ name }) => name === colourName)
  const colour = listed ?? (colourHex ? { hexDry: colourHex, hexWet: whenWet(colourHex) } : undefined)
  return {
    id,
    family: toCore(family),
    sizeKey,
    colourName,
    colourHex: colour?.hexDry ?? '#808080',
    colourWetHex: colour?.hexWet ?? '#606060',
  }
}

/** The same each time, so that nothing is reckoned again. */
const NO_DRAWERS: readonly NewDrawer[] = []

/** Drawers of the stores and of the draft; null until they have come. */
export function useMaterialBook(newDrawers = NO_DRAWERS): MaterialBook | null {
  const { data: stores } = useStoresQuery()
  const { data: used } = useFamiliesQuery()
  const { data: catalogue } = useCatalogueQuery()
  const dispatch = useAppDispatch()
  const [fetched, setFetched] = useState<ReadonlyMap<string, FamilyFull>>(new Map())

  const physics = useMemo(() => {
    const byId = new Map((used?.families ?? []).map((family) => [family.id as string, family]))
    for (const [id, family] of fetched) byId.set(id, family)
    return byId
  }, [used, fetched])

  // drawers of a draft that was kept: their goods may never have been asked for on this page
  useEffect(() => {
    if (!used) return
    const unknown = new Set(newDrawers.map(({ familyId }) => familyId).filter((id) => !physics.has(id)))
    for (const id of unknown) {
      void dispatch(api.endpoints.family.initiate(id)).then(({ data }) => {
        if (data) setFetched((before) => new Map(before).set(id, data))
      })
    }
  }, [used, newDrawers, physics, dispatch])

  const materials = useMemo(() => {
    const book = new Map<string, Material>()
    for (const line of stores?.materials ?? []) {
      const family = physics.get(line.familyId)
      if (family) book.set(line.id, { ...toMaterial(family, line), overrides: line.overrides, barb: line.barb })
    }
    for (const drawer of newDrawers) {
      const family = physics.get(drawer.familyId)
      // one that was minted meanwhile is known better from the stores
      if (family && !book.has(drawer.id)) book.set(drawer.id, toMaterial(family, drawer))
    }
    return book
  }, [stores, newDrawers, physics])

  const drawer = useCallback(
    async (familyId: string, sizeKey: string, colourName: string, colourHex?: string) => {
      let family = physics.get(familyId)
      if (!family) {
        const { data } = await dispatch(api.endpoints.family.initiate(familyId))
        if (!data) throw new Error('The goods could not be fetched.')
        setFetched((before) => new Map(before).set(familyId, data))
        family = data
      }
      const same = (candidate: { familyId: string; sizeKey: string; colourName: string }) =>
        candidate.familyId === familyId && candidate.sizeKey === sizeKey && candidate.colourName === colourName
      const there = stores?.materials.find(same) ?? newDrawers.find(same)
      if (there) {
        const id: string = there.id
        return {
          id,
          material: materials.get(id) ?? toMaterial(family, { id, sizeKey, colourName }),
          minted: null,
        }
      }
      const minted = { id: newId(), familyId, sizeKey, colourName, ...(colourHex ? { colourHex } : {}) }
      return { id: minted.id, material: toMaterial(family, minted), minted }
    },
    [physics, materials, dispatch, stores, newDrawers],
  )

  return useMemo(() => {
    if (!stores || !used || !catalogue) return null
    const familyIdOf = new Map(
      [...stores.materials, ...newDrawers].map(({ id, familyId }) => [id as string, familyId as string]),
    )
    const listed = new Map(catalogue.families.map((family) => [family.id as string, family]))
    const costs = new Map<string, number>()
    for (const line of stores.materials) {
      const cost = unitCost(line)
      if (cost === null) continue
      costs.set(line.id, cost)
      costs.set(line.familyId, cost)
    }
    const amounts = new Map(stores.materials.map(({ id, onHand }) => [id as string, onHand]))
    return {
      materials,
      families: catalogue.families,
      familyOf: (materialId) => listed.get(familyIdOf.get(materialId) ?? '') ?? null,
      drawer,
      onHandOf: (materialId) => amounts.get(materialId) ?? null,
      costOf: (materialId, familyId) => costs.get(materialId) ?? costs.get(familyId) ?? null,
    }
  }, [stores, used, catalogue, newDrawers, materials, drawer])
}
