import { useEffect, useMemo, useState } from 'react'
import { hookStyle, isLeadDensity } from '../../../../core/index.ts'
import type { Material, Offers } from '../../../../core/index.ts'
import type { FamilyFull } from '../../../../contract/index.ts'
import { api } from '../../../wire/api.ts'
import { useAppDispatch } from '../../../wire/store.ts'
import { newId } from '../../../wire/useCommand.ts'
import type { NewDrawer } from '../../../recipe/draft.ts'
import { toMaterial } from '../../../recipe/useMaterialBook.ts'
import type { MaterialBook } from '../../../recipe/useMaterialBook.ts'

/** What a search may take, as ticked. */
export interface OfferChoice {
  readonly noLead: boolean
  readonly noTungsten: boolean
  readonly onlyStores: boolean
  readonly otherSizes: boolean
  readonly otherWires: boolean
  readonly bodies: boolean
}

/** Goods to search among, with the drawers to mint for those that the stores do not have. */
export interface Searchable {
  readonly offers: Offers
  readonly drawers: ReadonlyMap<string, NewDrawer>
}

const MOST_TURNS = 30
const BULKS = [0.1, 0.2, 0.35, 0.55]
const JIG_NECK_DEG = 30

const isLead = ({ physics }: FamilyFull) => isLeadDensity(physics.densityMgPerMm3?.value ?? 1)
const isTungsten = ({ name }: FamilyFull) => /tungsten/i.test(name)

/** Hooks of one bend and length; they differ in their wire. */
function isSister({ hook: other }: FamilyFull, { family: { hook } }: Material): boolean {
  if (!other || !hook) return false
  return hookStyle(other.style).key === hookStyle(hook.style).key && other.xLong === hook.xLong
}

/** Families of hooks, beads and wires that suit a hook: slotted beads on a jig, drilled or countersunk ones elsewhere. */
function suits(family: FamilyFull, hook: Material): boolean {
  if (family.kind === 'hook') return isSister(family, hook)
  if (family.kind === 'wire') return !/rib/i.test(family.name) && !/steel/i.test(family.name)
  if (family.kind !== 'bead' || !/tungsten|brass/i.test(family.name)) return false
  const jig = hookStyle(hook.family.hook?.style ?? 'straight').neckDeg > JIG_NECK_DEG
  return jig ? family.boring === 'slotted' : family.boring === 'drilled'
}

/** Fetches the physics of families that no drawer has yet. */
function useFullFamilies(ids: readonly string[]): ReadonlyMap<string, FamilyFull> {
  const dispatch = useAppDispatch()
  const [full, setFull] = useState<ReadonlyMap<string, FamilyFull>>(new Map())
  const key = ids.join(' ')
  useEffect(() => {
    let gone = false
    const fetchAll = async () => {
      const answers = await Promise.all(
        key
          .split(' ')
          .filter(Boolean)
          .map((id) => dispatch(api.endpoints.family.initiate(id))),
      )
      if (!gone) setFull(new Map(answers.flatMap(({ data }) => (data ? [[data.id as string, data]] : []))))
    }
    void fetchAll()
    return () => {
      gone = true
    }
  }, [key, dispatch])
  return full
}

/** All that the search may take for a hook; null until its physics has come. */
export function useOffers(
  book: MaterialBook,
  hook: Material | undefined,
  choice: OfferChoice,
): Searchable | null {
  const wantedIds = useMemo(
    () => (hook ? book.families.filter((family) => suits(family, hook)).map(({ id }) => id as string) : []),
    [book.families, hook],
  )
  const full = useFullFamilies(wantedIds)
  return useMemo(() => {
    if (!hook || full.size < wantedIds.length) return null
    const drawers = new Map<string, NewDrawer>()
    const inStores = new Set<string>()
    const costs = new Map<string, number>()
    const known = [...book.materials.values()]
    const priced = (material: Material, familyId: string): Material => {
      const cost = book.costOf(material.id, familyId)
      if (cost !== null) costs.set(material.id, cost)
      return material
    }
    const drawerOf = (family: FamilyFull, sizeKey: string, colourName: string): Material => {
      const there = known.filter(
        (material) => material.family.name === family.name && material.sizeKey === sizeKey,
      )
      const stocked = there.find(({ id }) => (book.onHandOf(id) ?? 0) > 0) ?? there[0]
      if (stocked) {
        if ((book.onHandOf(stocked.id) ?? 0) > 0) inStores.add(stocked.id)
        return priced(stocked, family.id)
      }
      const drawer = { id: newId<string>(), familyId: family.id, sizeKey, colourName }
      drawers.set(drawer.id, drawer)
      return priced(toMaterial(family, drawer), family.id)
    }
    const usable = (family: FamilyFull) =>
      !(choice.noLead && isLead(family)) && !(choice.noTungsten && isTungsten(family))
    const families = [...full.values()].filter(usable)
    const goods = families
      .filter(({ kind }) => kind !== 'hook')
      .flatMap((family) => family.sizes.map((size) => drawerOf(family, size, family.colours[0]?.name ?? '')))
    const hookFamilyId = book.familyOf(hook.id)?.id
    const size = Number(hook.sizeKey)
    const hooks = families
      .filter(({ kind, id }) => kind === 'hook' && (choice.otherWires || id === hookFamilyId))
      .flatMap((family) =>
        family.sizes
          .filter((other) => Math.abs(Number(other) - size) <= (choice.otherSizes ? 2 : 0))
          .map((other) =>
            family.id === hookFamilyId && other === hook.sizeKey
              ? priced(hook, family.id)
              : drawerOf(family, other, family.colours[0]?.name ?? ''),
          ),
      )
    if ((book.onHandOf(hook.id) ?? 0) > 0) inStores.add(hook.id)
    const kept = (material: Material) => !choice.onlyStores || inStores.has(material.id)
    return {
      drawers,
      offers: {
        hooks: hooks.filter((material) => kept(material) || material.id === hook.id),
        beads: [null, ...goods.filter(({ family }) => family.kind === 'bead').filter(kept)],
        wires: [null, ...goods.filter(({ family }) => family.kind === 'wire').filter(kept)],
        mostTurns: MOST_TURNS,
        bulks: choice.bodies ? BULKS : [],
        inStores,
        costs,
      },
    }
  }, [book, hook, full, wantedIds, choice])
}
