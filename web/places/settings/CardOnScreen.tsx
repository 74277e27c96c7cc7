import { calibrateScreen, useTrueSize } from '../../drawing/trueSize.ts'
import { Section } from '../../ui/layout.tsx'
import { labels } from '../../words/settings.ts'

/** Width of a bank card, mm (ISO/IEC 7810 ID-1). */
const CARD_MM = 85.6

/** A bank card laid on the screen says how many pixels a millimetre is. */
export function CardOnScreen() {
  const pxPerMm = useTrueSize()
  return (
    <Section>
      <h2>{labels.thisScreen}</h2>
      <p>{labels.layABankCard}</p>
      <div
        style={{
          height: 40,
          width: CARD_MM * pxPerMm,
          maxWidth: '100%',
          margin: '8px 0',
          border: '2px solid var(--thistle)',
          borderRadius: 6,
        }}
      />
      <input
        type="range"
        min={2.2}
        max={8}
        step={0.01}
        value={pxPerMm}
        onChange={(event) => calibrateScreen(Number(event.target.value))}
        aria-label={labels.lengthOfTheCard}
        style={{ width: 320, accentColor: 'var(--thistle)' }}
      />{' '}
      <span className="figures">{pxPerMm.toFixed(2)} px a mm</span>
    </Section>
  )
}
