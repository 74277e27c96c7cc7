import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { PatternView, Problem } from '../../../contract/index.ts'
import { api } from '../../wire/api.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { focusWhereItCameFrom } from '../../ui/focusHeading.ts'
import { goToUnread } from '../../ui/unread.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { draftOf, savedDraft, toCommand } from '../../recipe/draft.ts'
import type { Draft } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { named } from '../../recipe/variantLabel.ts'
import { asNewVariant, changesRecipe } from '../../recipe/recipeEdits.ts'

/** A figure of the row as it is now, from a refusal of a stale save. */
function figureNow({ current }: Problem, field: 'version' | 'changedAtMs'): number | null {
  const figure = current && typeof current === 'object' ? (current as Record<string, unknown>)[field] : null
  return typeof figure === 'number' ? figure : null
}

/** The version that another tab left. */
export const versionOf = (problem: Problem): number | null => figureNow(problem, 'version')

/** When another tab changed it, ms since 1970; null where nobody noted it. */
export const changedAt = (problem: Problem): number | null => figureNow(problem, 'changedAtMs')

interface SaveOf {
  readonly draft: Draft | null
  /** as it is saved; none for a new one */
  readonly pattern: PatternView | undefined
  readonly isNew: boolean
  /** the variant that is looked at */
  readonly chosenId: string | undefined
  /** what new variants are called by; null until it has come */
  readonly book: MaterialBook | null
  /** asked as it is sent, and what that answers once it is saved */
  readonly whenSaved: () => (saved: Draft) => void
  readonly onChoose: (variantId: string) => void
}

/** Saving a pattern: what was refused, whether it is on its way, and what is asked first where flies of it lie in boxes. */
export function useSavePattern({ draft, pattern, isNew, chosenId, book, whenSaved, onChoose }: SaveOf) {
  const command = useCommand()
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const [problem, setProblem] = useState<Problem | null>(null)
  const [saving, setSaving] = useState(false)
  const [asks, setAsks] = useState(false)
  const onHand = (pattern?.variants ?? []).reduce((sum, variant) => sum + variant.onHand, 0)
  const save = async (
    asVersion: number | null,
    {
      of = draft,
      correctsRecord = false,
    }: { readonly of?: Draft | null; readonly correctsRecord?: boolean } = {},
  ) => {
    if (!of) return
    setAsks(false)
    setSaving(true)
    setProblem(null)
    const settle = whenSaved()
    const body = { ...toCommand({ ...of, version: asVersion }), ...(correctsRecord ? { correctsRecord } : {}) }
    const delivery = await command('patternSave', body, { quietly: true })
    setSaving(false)
    if (delivery.kind === 'refused') {
      setProblem(delivery.problem)
      dispatch(api.util.invalidateTags(['all']))
      return
    }
    // one that waits is saved here already: what is changed next goes behind it, from the version that it will have made
    // its new drawers stay until the stores have come anew with them: without them the fly would lack materials
    settle(savedDraft(of, (asVersion ?? 0) + 1))
    // the button that was pressed has nothing more to save
    requestAnimationFrame(focusWhereItCameFrom)
    if (isNew) void navigate(`/patterns/${of.patternId}`, { replace: true })
  }
  const asVariant =
    (asks || problem?.code === 'staleVersion') && pattern && draft && chosenId
      ? asNewVariant(draftOf(pattern), draft, chosenId)
      : null
  return {
    problem,
    saving,
    save,
    forget: () => setProblem(null),
    /** saves at once, or asks first what becomes of the flies of the recipe as it was */
    press: () => {
      if (!draft || goToUnread()) return
      if (pattern && onHand > 0 && changesRecipe(draftOf(pattern), draft)) setAsks(true)
      else void save(draft.version)
    },
    /** how many flies are asked about; null where nothing is asked */
    asks: asks ? onHand : null,
    leave: () => setAsks(false),
    /** what was changed becomes a new variant; null where a variant cannot be so */
    makeVariant:
      asVariant && book
        ? () => {
            void save(pattern?.version ?? null, { of: named(asVariant.draft, book.materials) }).then(() =>
              onChoose(asVariant.variantId),
            )
          }
        : null,
  }
}
