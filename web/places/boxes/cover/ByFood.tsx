import { useState } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import { COVER_PARTS, LIFE_STEPS, lifeStepOf, wording } from '../../../../core/index.ts'
import type { CoverCell, CoverFly, CoverPart, CoverRow } from '../../../../core/index.ts'
import type { StageLine } from '../../../../contract/index.ts'
import type { PlannedVariant } from '../../../../contract/planned.ts'
import { light } from '../../../wire/state.ts'
import { useAppDispatch } from '../../../wire/store.ts'
import { Dense, Quiet, Row } from '../../../ui/layout.tsx'
import { labels, STEP_WORDS } from '../../../words/cover.ts'
import { STATES } from './states.ts'

const PARTS: Readonly<Record<Exclude<CoverPart, 'all'>, string>> = {
  small: 'small',
  large: 'large',
  light: 'light',
  heavy: 'heavy',
}

const Grid = styled(Dense)`
  td {
    vertical-align: top;
  }
  td:first-child {
    min-width: 150px;
  }
  button.stage {
    display: block;
    min-height: 32px;
    padding: 2px 6px;
    font: inherit;
    text-align: left;
    color: inherit;
    background: none;
    border: 1px solid transparent;
    border-radius: 4px;
    cursor: pointer;
  }
  button.stage:hover,
  button.stage[aria-expanded='true'] {
    border-color: var(--rule);
  }
  /* on a phone a food is a heading with its stages below */
  @media (max-width: 700px) {
    thead {
      display: none;
    }
    tr {
      display: flex;
      flex-wrap: wrap;
    }
    td:empty {
      display: none;
    }
    td:first-child {
      flex-basis: 100%;
    }
  }
  .swatch {
    flex: none;
    width: 14px;
    height: 14px;
    border: 1px solid var(--quiet);
  }
`

function Count({ cell }: { readonly cell: CoverCell }) {
  const { word, colour } = STATES[cell.state]
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      <span className="figures">{cell.onHand}</span> <span style={{ color: colour }}>{word}</span>
    </span>
  )
}

function Flies({
  flies,
  variants,
}: {
  readonly flies: readonly CoverFly[]
  readonly variants: ReadonlyMap<string, PlannedVariant>
}) {
  return (
    <ul>
      {flies.map(({ key, onHand, meant }) => {
        const variant = variants.get(key)
        return variant ? (
          <li key={key}>
            <Link to={`/patterns/${variant.patternId}?variant=${key}`}>{variant.name}</Link>{' '}
            <Quiet>
              {onHand} on hand{variant.compartmentLabel ? `, ${variant.compartmentLabel}` : ''}
              {meant ? `, ${labels.meant}` : ''}
            </Quiet>
          </li>
        ) : null
      })}
    </ul>
  )
}

/** A stage opened: its parts, its colours, the flies that serve it, those that could pass and those that may not be fished. */
function Opened({
  row,
  name,
  variants,
}: {
  readonly row: CoverRow
  readonly name: string
  readonly variants: ReadonlyMap<string, PlannedVariant>
}) {
  const { cells, colours, alternatives, couldPass, barred } = row
  const parts = COVER_PARTS.flatMap((part) =>
    part === 'all' || cells[part].state === 'notAsked' ? [] : [[PARTS[part], cells[part]] as const],
  )
  return (
    <div role="group" aria-label={name}>
      <Row $gap={14}>
        <strong>{name}</strong>
        {parts.map(([part, cell]) => (
          <span key={part}>
            {part} <Count cell={cell} />
          </span>
        ))}
        {alternatives.state === 'notAsked' ? null : (
          <span>
            patterns <span className="figures">{alternatives.patterns}</span>{' '}
            <span style={{ color: STATES[alternatives.state].colour }}>of {alternatives.wanted}</span>
          </span>
        )}
        {colours.map(({ name: colour, hexWet, onHand }) => (
          <Row key={colour} $gap={5}>
            <span className="swatch" style={{ background: hexWet }} />
            <span>
              {colour} {onHand > 0 ? <span className="figures">{onHand}</span> : <Quiet>{labels.none}</Quiet>}
            </span>
          </Row>
        ))}
      </Row>
      {cells.all.by.length === 0 ? (
        <Quiet>
          {labels.noFlyOfYours} <Link to={`/patterns/new?serves=${row.stageKey}`}>{labels.designOne}</Link>
        </Quiet>
      ) : (
        <Flies flies={cells.all.by} variants={variants} />
      )}
      {couldPass.length > 0 ? (
        <Quiet>
          {labels.couldPassToo}
          <Flies flies={couldPass} variants={variants} />
        </Quiet>
      ) : null}
      {barred.length > 0 ? (
        <Quiet>
          {labels.againstTheNote}
          <Flies
            flies={barred.map(({ key, onHand }) => ({ key, onHand, quality: 0, meant: false }))}
            variants={variants}
          />
        </Quiet>
      ) : null}
    </div>
  )
}

/** Foods a row each with the steps of their lives as columns: how many flies are on hand for each, and what lacks. */
export function ByFood({
  rows,
  stages,
  variants,
}: {
  readonly rows: readonly CoverRow[]
  readonly stages: ReadonlyMap<string, StageLine>
  readonly variants: ReadonlyMap<string, PlannedVariant>
}) {
  const dispatch = useAppDispatch()
  const [open, setOpen] = useState<string | null>(null)
  const lives = new Map<string, CoverRow[]>()
  for (const row of rows) {
    const stage = stages.get(row.stageKey)
    if (stage) lives.set(stage.foodId, [...(lives.get(stage.foodId) ?? []), row])
  }
  return (
    <Grid aria-label={labels.cover}>
      <thead>
        <tr>
          <th>{labels.food}</th>
          {LIFE_STEPS.map((step) => (
            <th key={step}>{STEP_WORDS[step]}</th>
          ))}
        </tr>
      </thead>
      {[...lives].map(([foodId, ofFood]) => {
        const opened = ofFood.find(({ stageKey }) => stageKey === open)
        const openedStage = stages.get(opened?.stageKey ?? '')
        return (
          <tbody key={foodId}>
            <tr>
              <td>{stages.get(ofFood[0]?.stageKey ?? '')?.foodName}</td>
              {LIFE_STEPS.map((step) => (
                <td key={step}>
                  {ofFood.map((row) => {
                    const stage = stages.get(row.stageKey)
                    return stage && lifeStepOf(stage) === step ? (
                      <button
                        key={row.stageKey}
                        type="button"
                        className="stage"
                        aria-expanded={row.stageKey === open}
                        onClick={() => setOpen(row.stageKey === open ? null : row.stageKey)}
                        onMouseEnter={() => dispatch(light(row.stageKey))}
                        onMouseLeave={() => dispatch(light(null))}
                      >
                        {stage.stageName} <Count cell={row.cells.all} />
                        <div>
                          <Quiet>{wording.fishOnIt(row.worth)}</Quiet>
                        </div>
                      </button>
                    ) : null
                  })}
                </td>
              ))}
            </tr>
            {opened && openedStage ? (
              <tr>
                <td colSpan={LIFE_STEPS.length + 1}>
                  <Opened
                    row={opened}
                    name={`${openedStage.foodName}, ${openedStage.stageName}`}
                    variants={variants}
                  />
                </td>
              </tr>
            ) : null}
          </tbody>
        )
      })}
    </Grid>
  )
}
