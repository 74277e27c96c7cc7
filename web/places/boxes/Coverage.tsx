import { useState } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import { within } from '../../../contract/limits.ts'
import { anchorsOf, COVER_PARTS } from '../../../core/index.ts'
import type { CoverCell, CoverPart, CoverRow, CoverRules } from '../../../core/index.ts'
import { useLarderQuery } from '../../wire/api.ts'
import { usePlanned } from '../../wire/planned.ts'
import { toServing } from '../../../contract/planned.ts'
import type { PlannedVariant } from '../../../contract/planned.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useSettings } from '../../wire/useSettings.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { clockTime, dayName } from '../../words/words.ts'
import { Checkbox } from '../../ui/fields.tsx'
import { Dense, Quiet, Row, Section } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useCoverage } from './useCoverage.ts'
import { labels } from '../../words/boxes.ts'

const PARTS: Readonly<Record<CoverPart, string>> = {
  all: 'of it',
  small: 'small',
  large: 'large',
  light: 'light',
  heavy: 'heavy',
}
type Anchors = ReturnType<typeof anchorsOf>

const STATES: Readonly<Record<CoverCell['state'], { readonly word: string; readonly colour: string }>> = {
  covered: { word: 'covered', colour: 'var(--moss)' },
  thin: { word: 'thin', colour: 'var(--brass)' },
  missing: { word: 'hole', colour: 'var(--madder)' },
  notAsked: { word: '', colour: 'var(--quiet)' },
}

const Grid = styled(Dense)`
  td.state {
    white-space: nowrap;
  }
  td:first-child {
    min-width: 170px;
  }
  button.food {
    min-height: 32px;
    padding: 0;
    font: inherit;
    text-align: left;
    color: var(--thistle);
    background: none;
    border: 0;
    cursor: pointer;
  }
  .swatch {
    flex: none;
    width: 14px;
    height: 14px;
    border: 1px solid var(--quiet);
  }
  .colour {
    display: flex;
    gap: 5px;
    align-items: center;
    font-size: 0.875rem;
    line-height: 1.3;
    padding: 1px 0;
  }
`

function State({ cell }: { readonly cell: CoverCell }) {
  const { word, colour } = STATES[cell.state]
  if (cell.state === 'notAsked') return <Quiet>–</Quiet>
  return (
    <>
      <span className="figures">{cell.onHand}</span> <span style={{ color: colour }}>{word}</span>
    </>
  )
}

function Serving({
  cell,
  variants,
}: {
  readonly cell: CoverCell
  readonly variants: ReadonlyMap<string, PlannedVariant>
}) {
  if (cell.by.length === 0) return <Quiet>{labels.noFlyOfYours}</Quiet>
  return (
    <ul>
      {cell.by.map(({ key, onHand }) => {
        const variant = variants.get(key)
        return variant ? (
          <li key={key}>
            <Link to={`/patterns/${variant.patternId}?variant=${key}`}>{variant.name}</Link>{' '}
            <Quiet>
              {onHand} on hand{variant.compartmentLabel ? `, ${variant.compartmentLabel}` : ''}
            </Quiet>
          </li>
        ) : null
      })}
    </ul>
  )
}

/** What the user asks of the boxes, and how many of their flies would take the others down. */
function WhatIsAsked({
  season,
  onSeason,
  rules,
  onAsk,
  anchors,
}: {
  readonly season: boolean
  readonly onSeason: (season: boolean) => void
  readonly rules: CoverRules
  readonly onAsk: (change: Partial<CoverRules>) => void
  readonly anchors: Anchors
}) {
  return (
    <Row $align="end" role="group" aria-label={labels.whatIsAskedOf} style={{ paddingBottom: 8 }}>
      <Checkbox isSelected={season} onChange={onSeason}>
        {labels.theWholeSeason}
      </Checkbox>
      <Checkbox isSelected={rules.sizes} onChange={(sizes) => onAsk({ sizes })}>
        {labels.smallAndLarge}
      </Checkbox>
      <Checkbox isSelected={rules.lightAndHeavy} onChange={(lightAndHeavy) => onAsk({ lightAndHeavy })}>
        {labels.lightAndHeavy}
      </Checkbox>
      <NumberField
        label={labels.patternsInTheFilm}
        value={rules.alternatives}
        {...within('alternatives')}
        whenLeft
        width="130px"
        onChange={(alternatives) => (alternatives === null ? undefined : onAsk({ alternatives }))}
      />
      <NumberField
        label={labels.anchors}
        value={rules.anchors}
        {...within('anchors')}
        whenLeft
        onChange={(wanted) => (wanted === null ? undefined : onAsk({ anchors: wanted }))}
      />
      {anchors.state === 'notAsked' ? null : (
        <span>
          <span className="figures">{anchors.onHand}</span> anchors on hand{' '}
          <span style={{ color: STATES[anchors.state].colour }}>{STATES[anchors.state].word}</span>
        </span>
      )}
    </Row>
  )
}

/** A food against the boxes; opened, the flies that serve it. */
function FoodRow({
  row,
  name,
  isOpen,
  onOpen,
  variants,
}: {
  readonly row: CoverRow
  readonly name: string
  readonly isOpen: boolean
  readonly onOpen: () => void
  readonly variants: ReadonlyMap<string, PlannedVariant>
}) {
  const dispatch = useAppDispatch()
  const { cells, alternatives, colours } = row
  const isEnough = alternatives.state === 'notAsked' || alternatives.state === 'covered'
  return (
    <>
      <tr onMouseEnter={() => dispatch(light(row.stageKey))} onMouseLeave={() => dispatch(light(null))}>
        <td>
          <button type="button" className="food" aria-expanded={isOpen} onClick={onOpen}>
            {name}
          </button>
        </td>
        {COVER_PARTS.map((part) => (
          <td key={part} className="state">
            <State cell={cells[part]} />
          </td>
        ))}
        <td className="number">
          {alternatives.patterns}{' '}
          <span style={{ color: STATES[alternatives.state].colour }}>
            {isEnough ? '' : `of ${alternatives.wanted}`}
          </span>
        </td>
        <td>
          {colours.map(({ name: colour, hexWet, onHand }) => (
            <span key={colour} className="colour">
              <span className="swatch" style={{ background: hexWet }} />
              <span>
                {colour} {onHand > 0 ? <span className="figures">{onHand}</span> : <Quiet>{labels.none}</Quiet>}
              </span>
            </span>
          ))}
        </td>
      </tr>
      {isOpen ? (
        <tr>
          <td colSpan={COVER_PARTS.length + 3}>
            <Serving cell={cells.all} variants={variants} />
          </td>
        </tr>
      ) : null}
    </>
  )
}

/** Rows of food against what the boxes hold for it: enough of it, small and large, light and heavy, its colours. */
export default function Coverage() {
  const moment = useMoment()
  const [season, setSeason] = useState(false)
  const rows = useCoverage(season)
  const { settings, change } = useSettings()
  const { data: larder } = useLarderQuery()
  const plan = usePlanned()
  const [open, setOpen] = useState<string | null>(null)
  if (!moment) return <p>{labels.addAWaterFirst}</p>
  if (!rows || !larder || !plan || !settings) return <p aria-busy="true">{labels.holdingTheBoxesAgainst}</p>
  const stages = new Map(larder.stages.map((stage) => [stage.id as string, stage]))
  const variants = new Map(plan.variants.map((variant) => [variant.variantId as string, variant]))
  const rules = settings.cover
  const anchors = anchorsOf(plan.variants.map(toServing), rules)
  const holes = rows.filter(({ cells }) => cells.all.state === 'missing').length
  const thin = rows.filter(({ cells }) => cells.all.state === 'thin').length
  return (
    <Section aria-label={labels.whatTheBoxesCover}>
      <h2>
        What they cover at {moment.reach.reachName},{' '}
        {season ? 'the whole season' : `${dayName(moment.on)} ${clockTime(moment.localMin)}`}{' '}
        <Quiet>
          · {rows.length} foods: {rows.length - holes - thin} covered, {thin} thin, {holes}{' '}
          {holes === 1 ? 'hole' : 'holes'}
        </Quiet>
      </h2>
      <WhatIsAsked
        season={season}
        onSeason={setSeason}
        rules={rules}
        onAsk={(cover) => change({ cover })}
        anchors={anchors}
      />
      <Grid aria-label={labels.cover}>
        <thead>
          <tr>
            <th>{labels.food}</th>
            {COVER_PARTS.map((part) => (
              <th key={part}>{PARTS[part]}</th>
            ))}
            <th className="number">{labels.patterns}</th>
            <th>{labels.itsColours}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const stage = stages.get(row.stageKey)
            if (!stage) return null
            return (
              <FoodRow
                key={row.stageKey}
                row={row}
                name={`${stage.foodName}, ${stage.stageName}`}
                isOpen={open === row.stageKey}
                onOpen={() => setOpen(open === row.stageKey ? null : row.stageKey)}
                variants={variants}
              />
            )
          })}
        </tbody>
      </Grid>
    </Section>
  )
}
