import { useState } from 'react'
import type { useBlocker } from 'react-router'
import type { PatternView } from '../../../contract/index.ts'
import { draftOf, emptyDraft } from '../../recipe/draft.ts'
import type { Draft } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Heading, Quiet, Row } from '../../ui/layout.tsx'
import { AnotherTab } from './AnotherTab.tsx'
import type { useSavePattern } from './useSavePattern.ts'
import { labels } from '../../words/patterns.ts'

interface PatternHeadProps {
  readonly draft: Draft
  readonly dirty: boolean
  /** as it is saved; none for a new one */
  readonly pattern: PatternView | undefined
  readonly book: MaterialBook | null
  readonly canSave: boolean
  readonly saving: ReturnType<typeof useSavePattern>
  readonly blocker: ReturnType<typeof useBlocker>
  readonly onReset: (draft: Draft) => void
}

/** Throws a draft away that was never saved, once it was asked for twice. */
function ThrowAway({ onThrow }: { readonly onThrow: () => void }) {
  const [sure, setSure] = useState(false)
  if (!sure) return <Button onPress={() => setSure(true)}>{labels.throwTheDraftAway}</Button>
  return (
    <>
      <Button onPress={onThrow}>{labels.forGood}</Button>
      <Button onPress={() => setSure(false)}>{labels.keepIt}</Button>
    </>
  )
}

/** Before a recipe of which flies lie in boxes is saved otherwise: what those flies are. */
function WhichFlies({
  saving: { asks, leave, makeVariant, save },
  version,
}: {
  readonly saving: ReturnType<typeof useSavePattern>
  readonly version: number | null
}) {
  if (asks === null) return null
  return (
    <Row data-ends="edit" role="alert" $gap={8} style={{ paddingBottom: 8 }}>
      <strong>{asks === 1 ? labels.oneFlyLies : `${asks} ${labels.fliesLie}`}</strong>
      {makeVariant ? (
        <Button look="main" onPress={makeVariant}>
          {labels.aNewVariant}
        </Button>
      ) : null}
      <Button onPress={() => void save(version, { correctsRecord: true })}>{labels.tiedSo}</Button>
      <Button onPress={() => void save(version)}>{labels.fromNowOn}</Button>
      <Button look="quiet" onPress={leave}>
        {labels.notYet}
      </Button>
    </Row>
  )
}

/** Name, saving, and what stands in the way of leaving or saving. */
export function PatternHead({
  draft,
  dirty,
  pattern,
  book,
  canSave,
  saving,
  blocker,
  onReset,
}: PatternHeadProps) {
  const { problem } = saving
  const isStale = problem?.code === 'staleVersion'
  return (
    <>
      <Heading>
        <h1>{draft.name || 'New pattern'}</h1>
        <Row $gap={8}>
          {dirty ? <Quiet>{labels.notSaved}</Quiet> : null}
          {dirty && pattern ? (
            <Button onPress={() => onReset(draftOf(pattern))}>{labels.giveUpTheChanges}</Button>
          ) : null}
          {dirty && !pattern ? <ThrowAway onThrow={() => onReset(emptyDraft())} /> : null}
          <Button
            look={saving.asks === null ? 'main' : 'plain'}
            data-ends="edit"
            onPress={saving.press}
            isDisabled={!dirty || saving.saving || !canSave}
          >
            {labels.save}
          </Button>
        </Row>
      </Heading>
      <WhichFlies saving={saving} version={draft.version} />
      {blocker.state === 'blocked' ? (
        <Row data-ends="edit" role="alert">
          <Fault>{labels.thisPatternIsNot}</Fault>
          <Button onPress={() => blocker.proceed()}>{labels.leaveItAsA}</Button>
          <Button onPress={() => blocker.reset()}>{labels.stay}</Button>
        </Row>
      ) : null}
      {problem && !isStale ? (
        <Row data-ends="edit" role="alert">
          <Fault>{problem.detail}</Fault>
        </Row>
      ) : null}
      {problem && isStale && pattern ? (
        <AnotherTab {...{ problem, pattern, draft, book, saving, onReset }} />
      ) : null}
    </>
  )
}
