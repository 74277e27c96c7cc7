import { weightAmong } from '../../core/index.ts'
import type { PlanView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { loadGoods } from './drawers.ts'
import { loadSetups } from './patterns.ts'
import { loadPlaces } from './places.ts'
import { loadRecipes, toFigureView } from './variants.ts'
import { mapOf } from './grouped.ts'

type PlanVariant = PlanView['variants'][number]
type Recipe = Awaited<ReturnType<typeof loadRecipes>>[number]

/** Where something stands in a list, by its id; null where it does not. */
function placesIn(ids: readonly string[]): (id: string | null | undefined) => number | null {
  const at = new Map(ids.map((id, i) => [id, i]))
  return (id) => at.get(id ?? '') ?? null
}

/**
 * All of a variant that no fly that comes or goes changes, as if there were none of it and none had been fished; null
 * for one that is put away. It is made when it is asked for: a table of bought flies brings thousands.
 */
export const loadLasting = keptUntilWrite(readLasting, [loadSetups, loadPlaces, loadGoods, loadRecipes])

async function readLasting(db: Reader): Promise<(variantId: string) => PlanVariant | null> {
  const { parts, patterns } = await loadSetups(db)
  const patternAt = placesIn(patterns.map(({ id }) => id))
  const placeAt = placesIn((await loadPlaces(db)).map(({ id }) => id))
  const drawerAt = placesIn((await loadGoods(db)).map(({ material: { id } }) => id))
  const goodsOf = new Map(
    (await loadGoods(db)).map(({ material, family, densityMgPerMm3 }) => [
      material.id as string,
      { kind: family.kind, densityMgPerMm3: densityMgPerMm3 ?? 1, size: Number(material.sizeKey) || null },
    ]),
  )
  const barbOf = new Map((await loadGoods(db)).map(({ material: { id, barb } }) => [id, barb]))
  const recipeOf = mapOf(await loadRecipes(db), (recipe) => [recipe.variant.id, recipe])
  const lastingOf = ({ variant: row, figure }: Recipe): PlanVariant => {
    const { kind, submergedMg, sinkSpeedMmPerS, trailingSpeedMmPerS, posture, hookSize, drawingKey } =
      toFigureView(figure)
    const setup = parts.get(row.currentRevisionId)
    return {
      variantId: row.id,
      pattern: patternAt(row.patternId) ?? 0,
      label: row.label,
      figure: { kind, submergedMg, sinkSpeedMmPerS, trailingSpeedMmPerS, posture, hookSize, drawingKey },
      look: figure?.look ? { ...figure.look, palette: [...figure.look.palette] } : null,
      onHand: 0,
      queued: 0,
      lost: 0,
      hoursFished: 0,
      trust: 'notFished',
      place: placeAt(row.homeCompartmentId),
      ...weightAmong((figure?.bill ?? []).flatMap(({ materialId }) => goodsOf.get(materialId) ?? [])),
      barb: barbOf.get(row.hookMaterialId) ?? null,
      nightsToDry: figure?.nightsToDry ?? 0,
      bill: (figure?.bill ?? []).flatMap(({ materialId, perFly }): [number, number][] => {
        const drawer = drawerAt(materialId)
        return drawer === null ? [] : [[drawer, perFly]]
      }),
      setup: {
        thread: drawerAt(setup?.thread),
        bead: drawerAt(setup?.bead),
        hook: drawerAt(row.hookMaterialId),
      },
    }
  }
  const made = new Map<string, PlanVariant>()
  return (variantId) => {
    const known = made.get(variantId)
    const recipe = recipeOf.get(variantId)
    if (known || !recipe) return known ?? null
    const lasting = lastingOf(recipe)
    made.set(variantId, lasting)
    return lasting
  }
}
