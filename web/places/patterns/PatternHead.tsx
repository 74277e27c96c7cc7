import { useState } from 'react'
import type { useBlocker } from 'react-router'
import type { PatternView } from '../../../contract/index.ts'
import { wording } from '../../../core/index.ts'
import { differences } from '../../recipe/recipeEdits.ts'
import { draftOf, emptyDraft } from '../../recipe/draft.ts'
import type { Draft } from '../../recipe/draft.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Heading, Quiet, Row } from '../../ui/layout.tsx'
import { changedAt, versionOf } from './useSavePattern.ts'
import type { useSavePattern } from './useSavePattern.ts'
import { instantName } from '../../words/instants.ts'
import { labels } from '../../words/patterns.ts'

interface PatternHeadProps {
  readonly draft: Draft
  readonly dirty: boolean
  /** as it is saved; none for a new one */
  readonly pattern: PatternView | undefined
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

/** When that was, where it is known. */
const whenWords = (atMs: number | null): string =>
  atMs === null
    ? ' since you opened it'
    : ` (${instantName(atMs, Intl.DateTimeFormat().resolvedOptions().timeZone)})`

/** What yours and that of the other tab differ in. */
function differWords(that: Draft, yours: Draft): string {
  const names = differences(that, yours).map((what) =>
    what === 'name' || what === 'note' || what === 'variants' ? what : wording.componentName[what],
  )
  return names.length > 0 ? `They differ in: ${names.join(', ')}.` : 'They are alike.'
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
export function PatternHead({ draft, dirty, pattern, canSave, saving, blocker, onReset }: PatternHeadProps) {
  const { problem, save } = saving
  const stale = problem?.code === 'staleVersion'
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
      {problem ? (
        <Row data-ends="edit" role="alert">
          <Fault>
            {stale ? `Another tab changed this pattern${whenWords(changedAt(problem))}.` : problem.detail}
          </Fault>
          {stale && pattern ? <span>{differWords(draftOf(pattern), draft)}</span> : null}
          {stale && pattern ? (
            <>
              <Button onPress={() => void save(versionOf(problem))}>{labels.keepYours}</Button>
              {saving.makeVariant ? <Button onPress={saving.makeVariant}>{labels.aNewVariant}</Button> : null}
              <Button
                onPress={() => {
                  saving.forget()
                  onReset(draftOf(pattern))
                }}
              >
                {labels.keepThat}
              </Button>
            </>
          ) : null}
        </Row>
      ) : null}
    </>
  )
}
