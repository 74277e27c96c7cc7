import { sketchOf, wording } from '../../../../core/index.ts'
import { saveFile } from '../../../files/saveFile.ts'
import { useWording } from '../../../words/useWording.ts'
import { Button } from '../../../ui/Button.tsx'
import { Row, Section } from '../../../ui/layout.tsx'
import type { Draft, DraftVariant } from '../../../recipe/draft.ts'
import type { WorkedOut } from '../useFlyReport.ts'
import type { CardSize } from './cardPdf.ts'
import { labels } from '../../../words/patterns.ts'

interface SaveCardProps {
  readonly draft: Draft
  readonly variant: DraftVariant
  readonly worked: WorkedOut
  /** names of the foods that it is meant for */
  readonly serves: readonly string[]
}

/** The chosen variant as a card: to print in either size, or as text for elsewhere. */
export function SaveCard({ draft, variant, worked, serves }: SaveCardProps) {
  const { units } = useWording()
  const { fly, report, times } = worked
  const card = () =>
    wording.cardOf({
      name: draft.name,
      label: variant.label,
      dressing: { components: draft.components, steps: draft.steps },
      variant,
      fly,
      report,
      times,
      serves,
      note: draft.note,
      units,
    })
  const fileName = `${draft.name} ${variant.label}`.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()
  const savePdf = async (size: CardSize) => {
    const [{ cardPdf }, { shippedFont }] = await Promise.all([
      import('./cardPdf.ts'),
      import('../../../files/shippedFont.ts'),
    ])
    const bytes = await cardPdf(card(), sketchOf(fly), size, await shippedFont())
    saveFile(`${fileName}.pdf`, new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/pdf' }))
  }
  const saveText = (text: string, kind: string, type: string) =>
    saveFile(`${fileName}.${kind}`, new Blob([text], { type: `${type};charset=utf-8` }))
  return (
    <Section aria-label={labels.card}>
      <h2>{labels.card}</h2>
      <Row>
        <Button onPress={() => void savePdf('a6')}>{labels.cardA6}</Button>
        <Button onPress={() => void savePdf('letterQuarter')}>{labels.cardQuarterLetter}</Button>
        <Button onPress={() => saveText(wording.cardMarkdown(card()), 'md', 'text/markdown')}>
          {labels.markdown}
        </Button>
        <Button onPress={() => saveText(JSON.stringify(card(), null, 2), 'json', 'application/json')}>
          {labels.jSON}
        </Button>
      </Row>
    </Section>
  )
}
