import { useCallback, useMemo, useState } from 'react'
import {
  calibrationFor,
  depthAtTime,
  listed,
  rungsOf,
  sizeNumber,
  USUAL_TIPPET,
  wording,
} from '../../../core/index.ts'
import type { Material, Rung } from '../../../core/index.ts'
import { once } from '../../ui/once.ts'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import type { Draft, DraftVariant, NewDrawer } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { toMaterial } from '../../recipe/useMaterialBook.ts'
import type { WorkedOut } from './useFlyReport.ts'
import { copyOf, materialIn, twinOf } from '../../recipe/variantActions.ts'
import { labelFor } from '../../recipe/variantLabel.ts'
import { newId } from '../../wire/useCommand.ts'
import { labels } from '../../words/patterns.ts'

const DEEPEST_MM = 3000

interface Offered {
  readonly beads: readonly (Material | null)[]
  readonly minted: ReadonlyMap<string, NewDrawer>
}

/** Beads to climb: every size of the bead's family, those of other families that lie in the stores, and none. */
function offered(draft: Draft, variant: DraftVariant, book: MaterialBook): Offered {
  const component = draft.components.find(({ kind }) => kind === 'bead')
  const beadId = component && (materialIn(draft, variant, component.key) ?? component.materialId)
  const bead = beadId ? book.materials.get(beadId) : undefined
  const family = beadId ? book.familyOf(beadId) : null
  if (!bead || !family) return { beads: [], minted: new Map() }
  const { boring } = bead.family
  const known = [...book.materials.values()].filter(
    (material) => material.family.kind === 'bead' && material.family.boring === boring,
  )
  const minted = new Map<string, NewDrawer>()
  const beads = family.sizes.flatMap((sizeKey): Material[] => {
    const there = known.find(
      (material) => material.family.name === bead.family.name && material.sizeKey === sizeKey,
    )
    if (there) return []
    const drawer = { id: newId<string>(), familyId: family.id, sizeKey, colourName: bead.colourName }
    minted.set(drawer.id, drawer)
    return [{ ...toMaterial(family, drawer), family: bead.family }]
  })
  const distinct = new Map([...known, ...beads].map((one) => [`${one.family.name} ${one.sizeKey}`, one]))
  distinct.set(`${bead.family.name} ${bead.sizeKey}`, bead)
  return { beads: [null, ...distinct.values()], minted }
}

/** What names a rung: the ladder is made anew with every change of the stores, and a bead that nobody has gets another id then. */
const rungKey = (bead: Material | null) => (bead ? `${bead.family.name} ${bead.sizeKey}` : null)

/** A bead as a rung is called: `3.3 tungsten`. */
const beadWords = (bead: Material | null) =>
  bead ? `${sizeNumber(bead)} ${bead.family.name.split(' ')[0]?.toLowerCase()}` : 'no bead'

/** The rungs of the chosen variant, the one that is thought of, and what makes it. */
export function useRungs(
  worked: WorkedOut | null,
  draft: Draft | null,
  variant: DraftVariant | undefined,
  book: MaterialBook | null,
  waterTempC: number,
  onMake: (edit: Partial<Draft>, id: string) => void,
) {
  const [thought, setThought] = useState<{ readonly of: string; readonly key: string | null } | null>(null)
  const beadKey = draft?.components.find(({ kind }) => kind === 'bead')?.key
  const climbs = Boolean(beadKey) && worked?.report.kind === 'sinks'
  // a ladder is a score of flies: it is worked out when someone climbs, not at every key that is typed
  const ladder = useMemo(
    () =>
      once(() => {
        if (!worked || !draft || !variant || !book) return null
        const { beads, minted } = offered(draft, variant, book)
        const rungs = rungsOf({
          dressing: { components: draft.components, steps: null },
          variant,
          materials: book.materials,
          beads,
          conditions: { waterTempC, tippet: USUAL_TIPPET, wet: 'fresh', filmTreatment: 'none' },
          // a bead that another variant has already is that variant, with what was measured of it
          calibrationOf: (fly, swaps) =>
            calibrationFor(fly, twinOf(draft, { ...variant, swaps })?.id ?? 'not tied yet', worked.measured),
          toDepthMm: DEEPEST_MM,
        })
        return { rungs, minted }
      }),
    [worked, draft, variant, book, waterTempC],
  )
  const ownId = draft && variant && beadKey ? materialIn(draft, variant, beadKey) : null
  const ownRung = () => ladder()?.rungs.find(({ bead }) => (bead?.id ?? null) === ownId) ?? null
  const isThought = climbs && thought !== null && thought.of === variant?.id
  const own = isThought ? ownRung() : null
  const ghost = isThought ? (ladder()?.rungs.find(({ bead }) => rungKey(bead) === thought.key) ?? null) : null

  const think = useCallback(
    (rung: Rung | undefined) => {
      if (rung && variant) setThought({ of: variant.id, key: rungKey(rung.bead) })
    },
    [variant],
  )
  const step = (by: 1 | -1) => {
    const rungs = (climbs && ladder()?.rungs) || []
    const from = ghost ?? ownRung()
    think(from ? rungs[rungs.indexOf(from) + by] : undefined)
  }
  const letGo = () => setThought(null)
  const make = () => {
    if (!ghost || ghost === own || !draft || !variant || !book) return
    const drawer = ghost.bead ? ladder()?.minted.get(ghost.bead.id) : undefined
    const materials = new Map(book.materials)
    if (ghost.bead) materials.set(ghost.bead.id, ghost.bead)
    const made = copyOf(variant, { swaps: ghost.swaps })
    const twin = twinOf(draft, made)
    if (twin) {
      onMake({}, twin.id)
      letGo()
      return
    }
    onMake(
      {
        newDrawers: drawer ? [...draft.newDrawers, drawer] : draft.newDrawers,
        variants: [...draft.variants, { ...made, label: labelFor(draft, made, materials) }],
      },
      made.id,
    )
    letGo()
  }
  const isOther = ghost !== null && ghost !== own
  usePlaceActions([
    ...(climbs
      ? [
          { key: 'Alt+ArrowUp', what: labels.lighterBead, go: () => step(-1) },
          { key: 'Alt+ArrowDown', what: labels.heavierBead, go: () => step(1) },
        ]
      : []),
    ...(isOther
      ? [
          { key: 'Enter', what: labels.makeThatRung, go: make },
          { key: 'Escape', what: labels.letTheRungGo, go: letGo },
        ]
      : []),
  ])

  const onDrag = useCallback(
    (timeS: number, depthMm: number) => {
      const off = (rung: Rung) => Math.abs(depthAtTime(rung.descent, timeS) - depthMm)
      think([...(ladder()?.rungs ?? [])].sort((a, b) => off(a) - off(b))[0])
    },
    [ladder, think],
  )
  return {
    ghost: isOther ? ghost : null,
    onDrag: climbs ? onDrag : null,
    words: isOther && own ? differenceWords(own, ghost) : null,
    make,
    letGo,
  }
}

/** What one rung does otherwise than another: `2.8 tungsten → 3.3 tungsten, splash taps → plops`. */
function differenceWords(own: Rung, ghost: Rung) {
  const [from, to] = [own.report.splash.word, ghost.report.splash.word].map((word) => wording.splashWord[word])
  return {
    beads: `${beadWords(own.bead)} → ${beadWords(ghost.bead)}`,
    // the standard figure: what the made fly says in every list
    from: listed(own.fly, own.calibration),
    to: listed(ghost.fly, ghost.calibration),
    splash: from === to ? `${to} as now` : `splash ${from} → ${to}`,
  }
}
