import { wording } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Row } from '../../ui/layout.tsx'
import { labels } from '../../words/bench.ts'

/** Asks why a fly was spoiled, after it is counted: a digit or a tap, or nothing at all. */
export function SpoiledWhy({ onSay }: { readonly onSay: (cause: string | null) => void }) {
  return (
    <Row $gap={6} role="group" aria-label={labels.whyWasItSpoiled} style={{ paddingTop: 8 }}>
      <span>{labels.why}</span>
      {wording.SPOILED_CAUSES.map((cause, i) => (
        <Button key={cause} large onPress={() => onSay(cause)}>
          <span className="figures">{i + 1}</span> {cause}
        </Button>
      ))}
      <Button large look="quiet" onPress={() => onSay(null)}>
        {labels.neverMind}
      </Button>
    </Row>
  )
}
