import { useState } from 'react'
import type { useBlocker } from 'react-router'
import type { PatternView } from '../../../contract/index.ts'
import { draftOf, emptyDraft } from '../../recipe/draft.ts'
import type { Draft } from '../../recipe/draft.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Heading, Quiet, Row } from '../../ui/layout.tsx'
import { versionOf } from './useSavePattern.ts'
import type { useSavePattern } from './useSavePattern.ts'
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
            look="main"
            onPress={() => void save(draft.version)}
            isDisabled={!dirty || saving.saving || !canSave}
          >
            {labels.save}
          </Button>
        </Row>
      </Heading>
      {blocker.state === 'blocked' ? (
        <Row role="alert">
          <Fault>{labels.thisPatternIsNot}</Fault>
          <Button onPress={() => blocker.proceed()}>{labels.leaveItAsA}</Button>
          <Button onPress={() => blocker.reset()}>{labels.stay}</Button>
        </Row>
      ) : null}
      {problem ? (
        <Row role="alert">
          <Fault>{stale ? 'Another tab changed this pattern since you opened it.' : problem.detail}</Fault>
          {stale && pattern ? (
            <>
              <Button onPress={() => void save(versionOf(problem))}>{labels.keepYours}</Button>
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
