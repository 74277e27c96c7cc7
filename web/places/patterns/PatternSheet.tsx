import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import type { PatternView, Problem } from '../../../contract/index.ts'
import { api, useBoxesQuery, useLarderQuery, usePatternQuery } from '../../wire/api.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { useLeaveWarning } from '../../ui/useLeaveWarning.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { NoteField, TextField } from '../../ui/fields.tsx'
import { Fault, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { wording } from '../../../core/index.ts'
import { BareForms } from './BareForms.tsx'
import { SaveCard } from './card/SaveCard.tsx'
import { DressingLines, withDrawer } from './DressingLines.tsx'
import { draftOf, dropDraft, emptyDraft, keepDraft, keptDraft, toCommand } from '../../recipe/draft.ts'
import type { ChangeDraft, Draft } from '../../recipe/draft.ts'
import { FourFigures } from './FourFigures.tsx'
import { HowItCame } from './HowItCame.tsx'
import { FindOrTrim } from './FindOrTrim.tsx'
import { Imitates } from './Imitates.tsx'
import { MaterialPicker } from './MaterialPicker.tsx'
import { ServesWhat } from './ServesWhat.tsx'
import { WhatItTakes } from './WhatItTakes.tsx'
import { YearOfUse } from './YearOfUse.tsx'
import { StartBatch } from './StartBatch.tsx'
import { useBottomCaution } from './useBottomCaution.ts'
import { useFallColumn } from './useFallColumn.ts'
import { useFlyReport } from './useFlyReport.ts'
import { useRungs } from './useRungs.ts'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { Variants } from './Variants.tsx'

const KEEP_AFTER_MS = 400

/** Keeps an unsaved draft on this machine: a moment after each change, and when the sheet or the tab is left. */
function useKeptDraft(draft: Draft | null, dirty: boolean): void {
  const latest = useRef({ draft, dirty })
  useEffect(() => {
    latest.current = { draft, dirty }
    if (!dirty || !draft) return
    const timer = setTimeout(() => keepDraft(draft), KEEP_AFTER_MS)
    return () => clearTimeout(timer)
  }, [draft, dirty])
  useEffect(() => {
    const keepNow = () => {
      const { draft: unsaved, dirty: isDirty } = latest.current
      if (isDirty && unsaved) keepDraft(unsaved)
    }
    window.addEventListener('pagehide', keepNow)
    return () => {
      window.removeEventListener('pagehide', keepNow)
      keepNow()
    }
  }, [])
}

/** The draft of the sheet: kept on this machine with every change, until it is saved or given up. */
function useDraft(pattern: PatternView | undefined, isNew: boolean) {
  const [draft, setDraft] = useState<Draft | null>(null)
  const [dirty, setDirty] = useState(false)
  const id = isNew ? 'new' : pattern?.id
  useEffect(() => {
    if (!id || (!isNew && !pattern)) return
    // a new pattern that was just saved: what was typed since then stands
    if (pattern && draft?.patternId === pattern.id) return
    const kept = keptDraft(id)
    setDraft(kept ?? (pattern ? draftOf(pattern) : emptyDraft()))
    setDirty(Boolean(kept))
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a draft is taken up once for each pattern, not at each refetch
  }, [id, Boolean(pattern)])
  const change = useCallback<ChangeDraft>((edit) => {
    setDraft((before) => before && { ...before, ...(typeof edit === 'function' ? edit(before) : edit) })
    setDirty(true)
  }, [])
  useKeptDraft(draft, dirty)
  const reset = (next: Draft) => {
    if (draft) dropDraft(draft)
    setDraft(next)
    setDirty(false)
  }
  return { draft, dirty, change, reset }
}

/** The version of the row as it is now, from a refusal of a stale save. */
function versionOf({ current }: Problem): number | null {
  const version = current && typeof current === 'object' && 'version' in current ? current.version : null
  return typeof version === 'number' ? version : null
}

/** A pattern read top to bottom like a bench card: figures pinned, dressing, variants, what it serves, how it came about. */
export default function PatternSheet() {
  const { patternId = '' } = useParams()
  const isNew = patternId === 'new'
  const [params, setParams] = useSearchParams()
  const { currentData } = usePatternQuery(patternId, { skip: isNew })
  const pattern = currentData ?? undefined
  const { data: boxes } = useBoxesQuery()
  const { data: larder } = useLarderQuery()
  const { draft, dirty, change, reset } = useDraft(pattern, isNew)
  const book = useMaterialBook(draft?.newDrawers ?? [])
  const moment = useMoment()
  const { temperature } = useWording()
  const command = useCommand()
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const [problem, setProblem] = useState<Problem | null>(null)
  const [looked, setLooked] = useState<string | null>(null)
  const [saving, setSaving] = useState(false)
  const blocker = useLeaveWarning(dirty && !saving)
  const waterTempC = moment?.waterTempC ?? 10
  const chosen = draft?.variants.find(({ id }) => id === params.get('variant')) ?? draft?.variants[0]
  const worked = useFlyReport(draft, chosen, book, waterTempC)
  const calmFall = useDeferredValue(worked)

  const choose = useCallback(
    (id: string) => setParams((before) => ({ ...Object.fromEntries(before), variant: id }), { replace: true }),
    [setParams],
  )
  // bought, given or found: it has a hook and a name, and nobody knows what it weighs
  const isBare = draft !== null && draft.version !== null && draft.components.length === 0
  const calmWorked = calmFall && 'report' in calmFall && !isBare ? calmFall : null
  const rungs = useRungs(calmWorked, draft, chosen, book, waterTempC, (edit, id) => {
    if (Object.keys(edit).length > 0) change(edit)
    choose(id)
  })
  useFallColumn(calmWorked, draft, pattern, chosen?.id, rungs)
  const bottomCaution = useBottomCaution(calmWorked, draft)

  const servesNew = params.get('serves')
  useEffect(() => {
    const stage = larder?.stages.find(({ id }) => id === servesNew)
    if (isNew && stage && draft && draft.serves.length === 0) {
      change({ serves: [{ foodStageId: stage.id, weight: 1, name: `${stage.foodName}, ${stage.stageName}` }] })
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only once, when the larder has come
  }, [larder, servesNew, Boolean(draft)])

  // what is far from the edit may follow a moment later: the figures above never wait for it
  const calm = useDeferredValue(draft)
  const saved = useMemo(() => pattern?.variants ?? [], [pattern])
  const serves = draft?.serves
  const meantFor = useMemo(() => (serves ?? []).map(({ foodStageId }) => foodStageId), [serves])
  if (currentData === null) return <Fault>There is no such pattern. It may have been undone.</Fault>
  if (!draft || !chosen || !book) return <p aria-busy="true">Opening the pattern …</p>

  const save = async (asVersion: number | null) => {
    setSaving(true)
    setProblem(null)
    const delivery = await command('patternSave', toCommand({ ...draft, version: asVersion }), {
      quietly: true,
    })
    setSaving(false)
    if (delivery.kind === 'refused') {
      setProblem(delivery.problem)
      dispatch(api.util.invalidateTags(['all']))
      return
    }
    if (delivery.kind === 'waiting') return
    // its new drawers stay until the stores have come anew with them: without them the fly would lack materials
    reset({ ...draft, version: (asVersion ?? 0) + 1 })
    if (isNew) void navigate(`/patterns/${draft.patternId}`, { replace: true })
  }
  const stale = problem?.code === 'staleVersion'
  const nameFault =
    draft.name.trim() === '' && dirty
      ? 'Give it a name.'
      : problem?.fields.find(({ path }) => path.endsWith('name'))?.message
  const isWorked = worked && 'report' in worked && !isBare
  return (
    <>
      <Heading>
        <h1>{draft.name || 'New pattern'}</h1>
        <Row $gap={8}>
          {dirty ? <Quiet>not saved</Quiet> : null}
          {dirty && pattern ? (
            <Button onPress={() => reset(draftOf(pattern))}>Give up the changes</Button>
          ) : null}
          <Button
            look="main"
            onPress={() => void save(draft.version)}
            isDisabled={!dirty || saving || draft.name.trim() === '' || !chosen.hookMaterialId}
          >
            Save
          </Button>
        </Row>
      </Heading>
      {blocker.state === 'blocked' ? (
        <Row role="alert">
          <Fault>This pattern is not saved. It is kept here as a draft.</Fault>
          <Button onPress={() => blocker.proceed()}>Leave it as a draft</Button>
          <Button onPress={() => blocker.reset()}>Stay</Button>
        </Row>
      ) : null}
      {problem ? (
        <Row role="alert">
          <Fault>{stale ? 'Another tab changed this pattern since you opened it.' : problem.detail}</Fault>
          {stale && pattern ? (
            <>
              <Button onPress={() => void save(versionOf(problem))}>Keep yours</Button>
              <Button
                onPress={() => {
                  setProblem(null)
                  reset(draftOf(pattern))
                }}
              >
                Keep that
              </Button>
            </>
          ) : null}
        </Row>
      ) : null}
      {isWorked ? (
        <FourFigures
          worked={worked}
          highlight={looked}
          tempText={temperature(waterTempC)}
          caution={bottomCaution}
          rungs={rungs}
        />
      ) : (
        <p role="status">
          {isBare
            ? 'A fly without a recipe: nobody knows what it weighs or how it falls. Write down how it is tied, and that is reckoned.'
            : worked && 'missing' in worked
              ? worked.missing.map((piece) => wording.missingSentence(piece)).join(' ')
              : ''}
        </p>
      )}
      <Section>
        <Row $align="start">
          <TextField
            label="Name"
            value={draft.name}
            onChange={(name) => change({ name })}
            width="220px"
            maxLength={80}
            fault={nameFault}
            autoFocus={isNew}
          />
          <MaterialPicker
            kind="hook"
            materialId={chosen.hookMaterialId}
            book={book}
            onPick={(hookMaterialId, minted) =>
              change((before) => ({
                ...withDrawer(before, minted),
                variants: before.variants.map((variant) =>
                  variant.id === chosen.id ? { ...variant, hookMaterialId } : variant,
                ),
              }))
            }
          />
        </Row>
        <Quiet>The hook is that of {chosen.label}.</Quiet>
      </Section>
      <Section>
        <h2>Dressing</h2>
        {draft.components.length === 0 ? <BareForms book={book} onChange={change} /> : null}
        <DressingLines draft={draft} book={book} onChange={change} onLook={setLooked} worked={calmWorked} />
      </Section>
      <Section>
        <h2>Variants</h2>
        <Variants
          draft={calm ?? draft}
          book={book}
          boxes={boxes}
          saved={saved}
          chosenId={chosen.id}
          onChoose={choose}
          onChange={change}
        />
        <FindOrTrim
          worked={isWorked ? worked : null}
          draft={draft}
          chosen={chosen}
          book={book}
          waterTempC={waterTempC}
          onChange={change}
          onChoose={choose}
        />
        {pattern && !dirty && !isBare ? (
          <StartBatch
            patternName={pattern.name}
            variant={saved.find(({ id }) => id === chosen.id)}
            boxes={boxes}
          />
        ) : null}
      </Section>
      <Section>
        <h2>Imitates</h2>
        <Imitates draft={calm ?? draft} onChange={change} />
      </Section>
      {calmWorked ? <ServesWhat worked={calmWorked} meantFor={meantFor} /> : null}
      {calmWorked ? <YearOfUse worked={calmWorked} meantFor={meantFor} /> : null}
      {calmWorked && draft.components.length > 0 ? <WhatItTakes worked={calmWorked} /> : null}
      {calmWorked && calm ? (
        <SaveCard
          draft={calm}
          variant={chosen}
          worked={calmWorked}
          serves={calm.serves.map(({ name }) => name)}
        />
      ) : null}
      {calmWorked ? <HowItCame worked={calmWorked} waterTempC={waterTempC} /> : null}
      <Section>
        <NoteField label="Note" value={draft.note} onChange={(note) => change({ note })} width="520px" />
        {pattern && draft.version !== null ? (
          <Button
            onPress={() =>
              void command('patternArchive', { patternId: pattern.id, version: pattern.version }).then(
                (delivery) => (delivery.kind === 'done' ? void navigate('/patterns') : undefined),
              )
            }
            isDisabled={dirty}
          >
            Put the pattern away
          </Button>
        ) : null}
      </Section>
    </>
  )
}
