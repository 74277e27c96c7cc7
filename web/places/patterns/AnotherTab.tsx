import type { PatternView, Problem } from '../../../contract/index.ts'
import type { Component } from '../../../core/index.ts'
import { draftOf } from '../../recipe/draft.ts'
import type { Draft } from '../../recipe/draft.ts'
import { componentLine } from '../../recipe/lineText.ts'
import { differences } from '../../recipe/recipeEdits.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Row } from '../../ui/layout.tsx'
import { useSettings } from '../../wire/useSettings.ts'
import { instantName } from '../../words/instants.ts'
import { labels } from '../../words/patterns.ts'
import { useWording } from '../../words/useWording.ts'
import { changedAt, versionOf } from './useSavePattern.ts'
import type { useSavePattern } from './useSavePattern.ts'

interface AnotherTabProps {
  /** the refusal of a stale save */
  readonly problem: Problem
  /** as the other tab left it */
  readonly pattern: PatternView
  readonly draft: Draft
  readonly book: MaterialBook | null
  readonly saving: ReturnType<typeof useSavePattern>
  readonly onReset: (draft: Draft) => void
}

/** Another tab saved this pattern meanwhile: when, what differs line by line, and which of the two is kept. */
export function AnotherTab({ problem, pattern, draft, book, saving, onReset }: AnotherTabProps) {
  const { units } = useWording()
  const { settings } = useSettings()
  const atMs = changedAt(problem)
  const when =
    atMs === null || !settings ? labels.sinceYouOpenedIt : `(${instantName(atMs, settings.timeZone)})`
  const lineOf = (component: Component | null) =>
    component ? componentLine(component, book?.materials.get(component.materialId), units) : labels.noSuchLine
  const rows = differences(draftOf(pattern), draft).map((difference) =>
    difference.what === 'component'
      ? { key: difference.key, there: lineOf(difference.there), here: lineOf(difference.here) }
      : { key: difference.what, ...wordsOf(difference.what, draftOf(pattern), draft) },
  )
  return (
    <div data-ends="edit" role="alert" style={{ paddingBottom: 8 }}>
      <Fault>
        {labels.anotherTabChanged} {when}.
      </Fault>
      <ul style={{ margin: '4px 0 8px' }}>
        {rows.map(({ key, there, here }) => (
          <li key={key}>
            {labels.there} {there} · {labels.yours} {here}
          </li>
        ))}
      </ul>
      <Row $gap={8}>
        <Button onPress={() => void saving.save(versionOf(problem))}>{labels.keepYours}</Button>
        {saving.makeVariant ? <Button onPress={saving.makeVariant}>{labels.aNewVariant}</Button> : null}
        <Button
          onPress={() => {
            saving.forget()
            onReset(draftOf(pattern))
          }}
        >
          {labels.keepThat}
        </Button>
      </Row>
    </div>
  )
}

/** The two of what is no component, in words; of variants with the same labels, that they are tied otherwise. */
function wordsOf(what: 'name' | 'variants' | 'note', there: Draft, here: Draft) {
  const said = ({ name, note, variants }: Draft) =>
    ({ name, note: note || labels.noNote, variants: variants.map(({ label }) => label).join(', ') })[what]
  const words = { there: `${labels[what].toLowerCase()}: ${said(there)}`, here: said(here) }
  return said(there) === said(here) ? { ...words, here: labels.tiedOtherwise } : words
}
