import { lazy, memo, Suspense, useState } from 'react'
import { Button } from '../../ui/Button.tsx'
import { Row } from '../../ui/layout.tsx'
import type { ChangeDraft, Draft, DraftVariant } from '../../recipe/draft.ts'
import { Trim } from './Trim.tsx'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import type { WorkedOut } from './useFlyReport.ts'
import { labels } from '../../words/patterns.ts'

const FindWeighting = lazy(() => import('./find/FindWeighting.tsx'))
const OnMyRigs = lazy(() => import('./fishes/OnMyRigs.tsx'))
const WhereItFishes = lazy(() => import('./fishes/WhereItFishes.tsx'))

interface FindOrTrimProps {
  readonly worked: WorkedOut | null
  readonly draft: Draft
  readonly chosen: DraftVariant
  readonly book: MaterialBook
  readonly waterTempC: number
  readonly onChange: ChangeDraft
  readonly onChoose: (id: string) => void
}

type Tool = 'find' | 'trim' | 'fishes'

/** The tools for a variant, opened when wanted: weigh it backwards, trim what floats, see where what sinks fishes. */
export const FindOrTrim = memo(function FindOrTrim({
  worked,
  draft,
  chosen,
  book,
  waterTempC,
  onChange,
  onChoose,
}: FindOrTrimProps) {
  const [open, setOpen] = useState<Tool | null>(null)
  if (!worked) return null
  const floats = worked.report.kind === 'floats'
  const sinks = worked.report.kind === 'sinks'
  const toggle = (tool: Tool) => setOpen(open === tool ? null : tool)
  return (
    <div style={{ paddingTop: 8 }}>
      <Row $gap={8}>
        <Button onPress={() => toggle('find')} aria-expanded={open === 'find'}>
          {labels.findAWeighting}
        </Button>
        {floats ? (
          <Button onPress={() => toggle('trim')} aria-expanded={open === 'trim'}>
            {labels.trimIt}
          </Button>
        ) : null}
        {sinks ? (
          <Button onPress={() => toggle('fishes')} aria-expanded={open === 'fishes'}>
            {labels.whereItFishes}
          </Button>
        ) : null}
      </Row>
      {open === 'find' ? (
        <Suspense fallback={<p aria-busy="true">{labels.openingTheFinder}</p>}>
          <FindWeighting
            draft={draft}
            chosen={chosen}
            book={book}
            measured={worked.measured}
            onChange={onChange}
            onChoose={onChoose}
          />
        </Suspense>
      ) : null}
      {open === 'fishes' && sinks ? (
        <Suspense fallback={<p aria-busy="true">{labels.reckonsTheDrift}</p>}>
          <WhereItFishes worked={worked} />
          {chosen.kept ? <OnMyRigs draft={draft} variantId={chosen.id} /> : null}
        </Suspense>
      ) : null}
      {open === 'trim' && floats ? (
        <Trim
          worked={worked}
          draft={draft}
          chosen={chosen}
          book={book}
          waterTempC={waterTempC}
          onChange={onChange}
          onChoose={onChoose}
        />
      ) : null}
    </div>
  )
})
