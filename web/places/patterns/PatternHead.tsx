import type { useBlocker } from 'react-router'
import type { PatternView } from '../../../contract/index.ts'
import { draftOf } from '../../recipe/draft.ts'
import type { Draft } from '../../recipe/draft.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Heading, Quiet, Row } from '../../ui/layout.tsx'
import { versionOf } from './useSavePattern.ts'
import type { useSavePattern } from './useSavePattern.ts'

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

/** Name, saving, and what stands in the way of leaving or saving. */
export function PatternHead({ draft, dirty, pattern, canSave, saving, blocker, onReset }: PatternHeadProps) {
  const { problem, save } = saving
  const stale = problem?.code === 'staleVersion'
  return (
    <>
      <Heading>
        <h1>{draft.name || 'New pattern'}</h1>
        <Row $gap={8}>
          {dirty ? <Quiet>not saved</Quiet> : null}
          {dirty && pattern ? (
            <Button onPress={() => onReset(draftOf(pattern))}>Give up the changes</Button>
          ) : null}
          <Button
            look="main"
            onPress={() => void save(draft.version)}
            isDisabled={!dirty || saving.saving || !canSave}
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
                  saving.forget()
                  onReset(draftOf(pattern))
                }}
              >
                Keep that
              </Button>
            </>
          ) : null}
        </Row>
      ) : null}
    </>
  )
}
