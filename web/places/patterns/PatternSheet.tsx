import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { wording } from '../../../core/index.ts'
import type { BareForm } from '../../../core/index.ts'
import type { BoxesView, PatternView, Problem } from '../../../contract/index.ts'
import { useMoment } from '../../moment/useMoment.ts'
import type { ChangeDraft, Draft, DraftVariant } from '../../recipe/draft.ts'
import { formFor } from '../../recipe/formFor.ts'
import { named } from '../../recipe/variantLabel.ts'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { Fault, Section } from '../../ui/layout.tsx'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import { useLeaveWarning } from '../../ui/useLeaveWarning.ts'
import { useBoxesQuery, useLarderQuery, usePatternQuery } from '../../wire/answers.ts'
import { useWording } from '../../words/useWording.ts'
import { BareForms } from './BareForms.tsx'
import { DressingLines } from './DressingLines.tsx'
import { FindOrTrim } from './FindOrTrim.tsx'
import { FollowingFigures } from './FollowingFigures.tsx'
import { FourFigures } from './FourFigures.tsx'
import { Imitates } from './Imitates.tsx'
import { NameAndHook } from './NameAndHook.tsx'
import { NoteAndPutAway } from './NoteAndPutAway.tsx'
import { PatternHead } from './PatternHead.tsx'
import { StartBatch } from './StartBatch.tsx'
import { Steps } from './Steps.tsx'
import { useBottomCaution } from './useBottomCaution.ts'
import { useDraft } from './useDraft.ts'
import { useFallColumn } from './useFallColumn.ts'
import { useFlyReport } from './useFlyReport.ts'
import type { WorkedOut } from './useFlyReport.ts'
import { useRungs } from './useRungs.ts'
import { useTrimLine } from './useTrimLine.ts'
import { useSavePattern } from './useSavePattern.ts'
import { Variants } from './Variants.tsx'
import { labels } from '../../words/patterns.ts'

const NO_RECIPE =
  'A fly without a recipe: nobody knows what it weighs or how it falls. Write down how it is tied, and that is reckoned.'

/** What the recipe lacks, in words; nothing while it is worked out. */
const missingOf = (worked: ReturnType<typeof useFlyReport>): string =>
  worked && 'missing' in worked ? worked.missing.map((piece) => wording.missingSentence(piece)).join(' ') : ''

/** What is wrong with the name: there is none, or what the server said of it. */
const nameFaultOf = ({ name }: Draft, dirty: boolean, problem: Problem | null): string | undefined =>
  name.trim() === '' && dirty
    ? 'Give it a name.'
    : problem?.fields.find(({ path }) => path.endsWith('name'))?.message

/** A new pattern that was begun from a stage of the larder is meant for that; answers the form that suits it. */
function useMeantFor(stageId: string | null, draft: Draft | null, change: ChangeDraft): BareForm['key'] | null {
  const { data: larder } = useLarderQuery()
  useEffect(() => {
    const stage = larder?.stages.find(({ id }) => id === stageId)
    if (stage && draft && draft.serves.length === 0) {
      change({ serves: [{ foodStageId: stage.id, weight: 1, name: `${stage.foodName}, ${stage.stageName}` }] })
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only once, when the larder has come
  }, [larder, stageId, Boolean(draft)])
  const meant = larder?.stages.find(({ id }) => id === draft?.serves[0]?.foodStageId)
  return meant ? formFor(meant) : null
}

/** A new pattern that was begun has its draft in the address, so that a reload goes on with it and another can be begun. */
function useDraftInAddress(
  draft: Draft | null,
  isBegun: boolean,
  setParams: ReturnType<typeof useSearchParams>[1],
): void {
  const id = isBegun ? draft?.patternId : undefined
  useEffect(() => {
    if (id) setParams((before) => ({ ...Object.fromEntries(before), draft: id }), { replace: true })
    // eslint-disable-next-line react-hooks/exhaustive-deps -- when it is begun, not when the address says otherwise
  }, [id])
}

/** The variant that is looked at: in the address, and at once where it was just chosen, as what is pressed next is of it. */
function useChosenVariant(inAddress: string | null, setParams: ReturnType<typeof useSearchParams>[1]) {
  const [justChosen, setJustChosen] = useState<string | null>(null)
  useEffect(() => setJustChosen(null), [inAddress])
  const choose = useCallback(
    (id: string) => {
      setJustChosen(id)
      setParams((before) => ({ ...Object.fromEntries(before), variant: id }), { replace: true })
    },
    [setParams],
  )
  return { chosenId: justChosen ?? inAddress, choose }
}

interface Thoughts {
  readonly worked: WorkedOut | null
  readonly draft: Draft | null
  readonly pattern: PatternView | undefined
  readonly chosen: DraftVariant | undefined
  readonly book: MaterialBook | null
  readonly waterTempC: number
  readonly change: ChangeDraft
  readonly choose: (variantId: string) => void
}

/** What is only thought of in the Column, another rung of bead or a cut, each to be made or let go. */
function useThoughts({ worked, draft, pattern, chosen, book, waterTempC, change, choose }: Thoughts) {
  const makeOne = (edit: Partial<Draft>, id: string) => {
    if (Object.keys(edit).length > 0) change(edit)
    choose(id)
  }
  const rungs = useRungs(worked, draft, chosen, book, waterTempC, makeOne)
  const trim = useTrimLine(worked, draft, chosen, book, waterTempC, makeOne)
  useFallColumn(worked, draft, pattern, chosen?.id, rungs, trim.line)
  return { rungs, trim }
}

/** What can be done with the pattern that is open, by key or found by its words. */
function useActionsOf({
  save,
  shown,
}: {
  readonly save: (() => void) | null
  readonly shown: string | undefined
}) {
  const navigate = useNavigate()
  usePlaceActions([
    ...(save ? [{ key: 'Ctrl+s', what: labels.savePattern, go: save }] : []),
    ...(shown ? [{ what: labels.showInTheTank, go: () => void navigate(`/tank?fly=${shown}`) }] : []),
    { key: 'n', what: labels.newPattern, go: () => void navigate('/patterns/new') },
  ])
}

type VariantLine = PatternView['variants'][number]
interface VariantsAndBatchProps {
  readonly worked: WorkedOut | null
  readonly draft: Draft
  readonly book: MaterialBook
  readonly boxes: BoxesView | undefined
  readonly saved: readonly VariantLine[]
  readonly chosen: DraftVariant
  readonly waterTempC: number
  /** name of the pattern that a batch can be started of; null while something of it is unsaved */
  readonly startOf: string | null
  readonly onChoose: (variantId: string) => void
  readonly onChange: ChangeDraft
}

/** The variants of a pattern, what finds another, and a batch of the one that is looked at. */
function VariantsAndBatch({
  worked,
  saved,
  chosen,
  boxes,
  startOf,
  waterTempC,
  ...shared
}: VariantsAndBatchProps) {
  return (
    <Section>
      <h2>{labels.variants}</h2>
      <Variants {...shared} boxes={boxes} saved={saved} chosenId={chosen.id} />
      <FindOrTrim {...shared} worked={worked} chosen={chosen} waterTempC={waterTempC} />
      {startOf === null ? null : (
        <StartBatch
          key={chosen.id}
          patternName={startOf}
          variant={saved.find(({ id }) => id === chosen.id)}
          boxes={boxes}
        />
      )}
    </Section>
  )
}

/** A pattern read top to bottom like a bench card: figures pinned, dressing, variants, what it serves, how it came about. */
export default function PatternSheet() {
  const { patternId = '' } = useParams()
  const isNew = patternId === 'new'
  const [params, setParams] = useSearchParams()
  const { currentData } = usePatternQuery(patternId, { skip: isNew })
  const pattern = currentData ?? undefined
  const { data: boxes } = useBoxesQuery()
  const { draft: asTyped, dirty, change, reset, whenSaved } = useDraft(pattern, isNew, params.get('draft'))
  const book = useMaterialBook(asTyped?.newDrawers ?? [])
  const draft = useMemo(() => (asTyped && book ? named(asTyped, book.materials) : asTyped), [asTyped, book])
  const moment = useMoment()
  const { temperature } = useWording()
  const [looked, setLooked] = useState<string | null>(null)
  useDraftInAddress(asTyped, isNew && dirty, setParams)
  const waterTempC = moment?.waterTempC ?? 10
  const { chosenId, choose } = useChosenVariant(params.get('variant'), setParams)
  const chosen = draft?.variants.find(({ id }) => id === chosenId) ?? draft?.variants[0]
  const saving = useSavePattern({
    draft,
    pattern,
    isNew,
    chosenId: chosen?.id,
    book,
    whenSaved,
    onChoose: choose,
  })
  const blocker = useLeaveWarning(dirty && !saving.saving)
  const worked = useFlyReport(draft, chosen, book, waterTempC)
  const calmFall = useDeferredValue(worked)

  // bought, given or found: it has a hook and a name, and nobody knows what it weighs
  const isBare = draft !== null && draft.version !== null && draft.components.length === 0
  const calmWorked = calmFall && 'report' in calmFall && !isBare ? calmFall : null
  const { rungs, trim } = useThoughts({
    ...{ worked: calmWorked, draft, pattern, chosen, book, waterTempC, change, choose },
  })
  const bottomCaution = useBottomCaution(calmWorked, draft)

  const canSave = draft !== null && draft.name.trim() !== '' && Boolean(chosen?.hookMaterialId)
  useActionsOf({
    save: draft && dirty && canSave && !saving.saving ? saving.press : null,
    shown: isNew ? undefined : chosen?.id,
  })

  const suits = useMeantFor(params.get('serves'), isNew ? draft : null, change)

  // what is far from the edit may follow a moment later: the figures above never wait for it
  const calm = useDeferredValue(draft)
  const saved = useMemo(() => pattern?.variants ?? [], [pattern])
  if (currentData === null) return <Fault>{labels.thereIsNoSuch}</Fault>
  if (!draft || !chosen || !book) return <p aria-busy="true">{labels.openingThePattern}</p>
  const isWorked = worked && 'report' in worked && !isBare
  return (
    <>
      <PatternHead
        key={draft.patternId}
        draft={draft}
        dirty={dirty}
        pattern={pattern}
        book={book}
        canSave={canSave}
        saving={saving}
        blocker={blocker}
        onReset={reset}
      />
      {isWorked ? (
        <FourFigures
          worked={worked}
          highlight={looked}
          tempText={temperature(waterTempC)}
          caution={bottomCaution}
          rungs={rungs}
          cut={trim.thought}
        />
      ) : (
        <p role="status">{isBare ? NO_RECIPE : missingOf(worked)}</p>
      )}
      <NameAndHook
        name={draft.name}
        chosen={chosen}
        book={book}
        onChange={change}
        fault={nameFaultOf(draft, dirty, saving.problem)}
        isNew={isNew}
      />
      <Section data-saved>
        <h2>{labels.dressing}</h2>
        {draft.components.length === 0 ? <BareForms book={book} suits={suits} onChange={change} /> : null}
        <DressingLines
          draft={draft}
          book={book}
          variantId={chosen.id}
          onChange={change}
          onLook={setLooked}
          worked={calmWorked}
        />
        {draft.components.length > 0 ? (
          <Steps draft={calm ?? draft} variant={chosen} onChange={change} />
        ) : null}
      </Section>
      <VariantsAndBatch
        {...{ book, boxes, saved, chosen, waterTempC }}
        worked={calmWorked}
        draft={calm ?? draft}
        startOf={pattern && !dirty && !isBare ? pattern.name : null}
        onChoose={choose}
        onChange={change}
      />
      <Section>
        <h2>{labels.imitates}</h2>
        <Imitates draft={calm ?? draft} onChange={change} />
      </Section>
      {calmWorked && calm ? (
        <FollowingFigures worked={calmWorked} draft={calm} variant={chosen} waterTempC={waterTempC} />
      ) : null}
      <NoteAndPutAway note={draft.note} dirty={dirty} pattern={pattern} onChange={change} />
    </>
  )
}
