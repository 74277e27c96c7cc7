import styled from 'styled-components'
import type { CompartmentLine } from '../../../contract/index.ts'
import { ListedFly } from '../../drawing/ListedFly.tsx'
import { useTrueSize } from '../../drawing/trueSize.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/outings.ts'

const Flies = styled.ul`
  li {
    display: grid;
    grid-template-columns: 84px minmax(0, 1fr) auto auto;
    gap: 10px;
    align-items: center;
    min-height: 48px;
    padding: 3px 0;
    border-bottom: 1px solid var(--rule);
  }
  @media (max-width: 700px) {
    li {
      grid-template-columns: 62px minmax(0, 1fr) auto auto;
      gap: 6px;
    }
  }
`

interface PocketProps {
  readonly place: CompartmentLine
  readonly boxName: string
  /** flies of a variant that are marked as gone */
  readonly countOf: (variantId: string) => number
  readonly onTap: (variantId: string, by: 1 | -1) => void
}

/** A compartment as it was packed: tap what is missing. */
export function PocketOf({ place, boxName, countOf, onTap }: PocketProps) {
  const pxPerMm = useTrueSize()
  return (
    <Section>
      <h2>
        {place.label} <Quiet>{boxName}</Quiet>
      </h2>
      <Flies>
        {place.flies
          .filter(({ count }) => count > 0)
          .map((fly) => {
            const missing = countOf(fly.variantId)
            const name = `${fly.patternName} ${fly.label}`
            return (
              <li key={fly.variantId}>
                <span className="fly">
                  <ListedFly drawingKey={fly.figure.drawingKey} pxPerMm={pxPerMm} />
                </span>
                <span>
                  {name} <Quiet>{fly.count} packed</Quiet>
                </span>
                <span
                  className="figures"
                  style={{
                    color: missing > 0 ? 'var(--madder)' : 'var(--quiet)',
                    minWidth: 22,
                    textAlign: 'right',
                  }}
                >
                  {missing > 0 ? `−${missing}` : ''}
                </span>
                <Row $gap={4}>
                  <Button
                    large
                    onPress={() => onTap(fly.variantId, -1)}
                    isDisabled={missing === 0}
                    aria-label={`One less ${name} missing`}
                  >
                    −
                  </Button>
                  <Button
                    large
                    onPress={() => onTap(fly.variantId, 1)}
                    isDisabled={missing >= fly.count}
                    aria-label={`One ${name} missing`}
                  >
                    {labels.gone}
                  </Button>
                </Row>
              </li>
            )
          })}
      </Flies>
    </Section>
  )
}
