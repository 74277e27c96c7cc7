import { useState } from 'react'
import { Link } from 'react-router'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { dropDraft, keptDrafts } from '../../recipe/keptDraft.ts'
import type { Draft } from '../../recipe/draft.ts'
import { labels } from '../../words/patterns.ts'

const addressOf = ({ version, patternId }: Draft) =>
  version === null ? `/patterns/new?draft=${patternId}` : `/patterns/${patternId}`

const whatIsInIt = ({ version, components }: Draft) => {
  const lines = components.length === 1 ? 'one line' : `${components.length} lines`
  return version === null ? `new, ${lines}` : `changed, ${lines}`
}

/** Drafts that wait on this machine, by name: to go on with, or to throw away. */
export function KeptDrafts() {
  const [drafts, setDrafts] = useState(keptDrafts)
  const [sure, setSure] = useState<string | null>(null)
  if (drafts.length === 0) return null
  return (
    <Row role="group" aria-label={labels.draftsThatWait} $gap={14} style={{ paddingBottom: 8 }}>
      <Quiet>{labels.draftsThatWait}:</Quiet>
      {drafts.map((draft) => (
        <Row key={draft.patternId} $gap={6}>
          <Link to={addressOf(draft)} aria-label={`${labels.goOnWith} ${draft.name || labels.withoutAName}`}>
            {draft.name || labels.withoutAName}
          </Link>
          <Quiet>{whatIsInIt(draft)}</Quiet>
          {sure === draft.patternId ? (
            <>
              <Button
                onPress={() => {
                  dropDraft(draft)
                  setDrafts(keptDrafts())
                }}
              >
                {labels.forGood}
              </Button>
              <Button onPress={() => setSure(null)}>{labels.keepIt}</Button>
            </>
          ) : (
            <Button
              aria-label={`${labels.throwAway}: ${draft.name || labels.withoutAName}`}
              onPress={() => setSure(draft.patternId)}
            >
              {labels.throwAway}
            </Button>
          )}
        </Row>
      ))}
    </Row>
  )
}
