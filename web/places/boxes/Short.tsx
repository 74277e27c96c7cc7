import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import styled from 'styled-components'
import type { RestockLine } from '../../../contract/index.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { ListedSlits } from '../../drawing/ListedFly.tsx'
import { Button } from '../../ui/Button.tsx'
import { Caution, Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/boxes.ts'

const List = styled.ol`
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: 4px 14px;
    align-items: center;
    padding: 5px 0;
    border-bottom: 1px solid var(--rule);
  }
  .short {
    grid-column: 1 / -1;
  }
  @media (max-width: 700px) {
    li {
      grid-template-columns: minmax(0, 1fr) auto;
    }
    li > a {
      grid-column: 1 / -1;
    }
  }
`

const SHOWN = 4
const MOST_AT_ONCE = 6

/** What to tie at once: what is missing, at most six, and no more than the stores allow. */
const countFor = ({ missing, allowed }: RestockLine) =>
  Math.max(Math.min(missing, MOST_AT_ONCE, allowed ?? MOST_AT_ONCE), 1)

/** What is below what is kept, emptiest first, with the materials that are missing; a batch starts from here. */
export function Short({ lines }: { readonly lines: readonly RestockLine[] }) {
  const { stock } = useWording()
  const [all, setAll] = useState(false)
  const command = useCommand()
  const navigate = useNavigate()
  if (lines.length === 0) {
    return (
      <Section>
        <p>{labels.nothingShort}</p>
      </Section>
    )
  }
  const start = async (line: RestockLine, onVise: boolean) => {
    const delivery = await command('batchPlan', {
      batchId: newId(),
      variantId: line.variantId,
      plannedCount: countFor(line),
      compartmentId: line.compartmentId,
      onVise,
    })
    if (delivery.kind === 'done' && onVise) void navigate('/bench')
  }
  return (
    <Section aria-label={labels.short}>
      <h2>
        {lines.length} short <Quiet>{labels.belowKept}</Quiet>
      </h2>
      <List>
        {lines.slice(0, all ? undefined : SHOWN).map((line) => (
          <li key={line.variantId}>
            <Link to={`/patterns/${line.patternId}?variant=${line.variantId}`}>
              {line.patternName} {line.label}
            </Link>
            <ListedSlits
              onHand={line.onHand}
              keep={line.par}
              drawingKey={line.drawingKey}
              label={`${line.patternName} ${line.label}`}
            />
            <Row $gap={6}>
              <Button
                onPress={() => void start(line, true)}
                aria-label={`Tie ${countFor(line)} ${line.patternName} ${line.label} now`}
              >
                Tie {countFor(line)} now
              </Button>
              <Button
                look="quiet"
                onPress={() => void start(line, false)}
                aria-label={`Queue ${line.patternName} ${line.label}`}
              >
                {labels.queue}
              </Button>
            </Row>
            {line.shortOf.length > 0 ? (
              <span className="short">
                <Caution>
                  Stores allow {line.allowed}: short of{' '}
                  {line.shortOf
                    .map(
                      ({ name, stockUnit, need, onHand }) =>
                        `${name} (${stock(onHand ?? 0, stockUnit)} of ${stock(need, stockUnit)})`,
                    )
                    .join('; ')}
                  .
                </Caution>
              </span>
            ) : null}
          </li>
        ))}
      </List>
      {lines.length > SHOWN ? (
        <Button look="quiet" onPress={() => setAll(!all)}>
          {all ? 'Only the emptiest' : `All ${lines.length}`}
        </Button>
      ) : null}
    </Section>
  )
}
