import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import { COVER_PARTS } from '../../../core/index.ts'
import type { CoverCell, CoverPart, CoverRow } from '../../../core/index.ts'
import type { FoodAtMoment, PlanVariant } from '../../../contract/index.ts'
import { useFrameQuery, useLarderQuery, useMomentQuery, usePlanQuery } from '../../app/api.ts'
import { toTieable } from '../../app/planVariant.ts'
import { light } from '../../app/state.ts'
import { useAppDispatch } from '../../app/store.ts'
import { useMoment } from '../../app/useMoment.ts'
import { clockTime, dayName } from '../../app/words.ts'
import { Dense, Quiet, Section } from '../../ui/layout.tsx'
import { runJob } from '../../workers/gateway.ts'

const MOST_FOODS = 30

const PARTS: Readonly<Record<CoverPart, string>> = {
  all: 'of it',
  small: 'small',
  large: 'large',
  light: 'light',
  heavy: 'heavy',
}
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
    display: inline-block;
    width: 14px;
    height: 14px;
    margin-right: 5px;
    vertical-align: -2px;
    border: 1px solid var(--quiet);
  }
  .colour {
    display: inline-block;
    margin-right: 10px;
    white-space: nowrap;
    font-size: 0.875rem;
  }
`

/** The foods of the moment against the boxes; null while that is worked out. */
function useCoverage(): readonly CoverRow[] | null {
  const moment = useMoment()
  const { data: plan } = usePlanQuery()
  const { data: larder } = useLarderQuery()
  const { data: frame } = useFrameQuery()
  const { data: at } = useMomentQuery(
    { reachId: moment?.reachId ?? '', on: moment?.on ?? '', localMin: moment?.localMin ?? 0 },
    { skip: !moment },
  )
  const [rows, setRows] = useState<readonly CoverRow[] | null>(null)
  useEffect(() => {
    if (!moment || !plan || !larder || !frame || !at) return
    const controller = new AbortController()
    const { waterKind, typicalDepthMm, surfaceSpeedMmPerS } = moment.reach
    const work = async () => {
      const found = await runJob(
        'coverageOf',
        {
          foods: at.foods.slice(0, MOST_FOODS).map((food: FoodAtMoment) => ({
            stageKey: food.foodStageId,
            worth: food.worth,
            lengthMmLow: food.lengthMmLow,
            lengthMmHigh: food.lengthMmHigh,
          })),
          stages: larder.stages,
          variants: plan.variants.map(toTieable),
          waterKind,
          bedMm: typicalDepthMm,
          surfaceSpeedMmPerS,
          school: frame.settings.school,
          keep: frame.settings.parCount,
        },
        { key: 'coverageOf', signal: controller.signal },
      )
      if (!('kind' in found)) setRows(found)
    }
    void work()
    return () => controller.abort()
  }, [moment, plan, larder, frame, at])
  return rows
}

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
  readonly variants: ReadonlyMap<string, PlanVariant>
}) {
  if (cell.by.length === 0) return <Quiet>No fly of yours serves it.</Quiet>
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

/** Rows of food against what the boxes hold for it: enough of it, small and large, light and heavy, its colours. */
export default function Coverage() {
  const moment = useMoment()
  const rows = useCoverage()
  const { data: larder } = useLarderQuery()
  const { data: plan } = usePlanQuery()
  const dispatch = useAppDispatch()
  const [open, setOpen] = useState<string | null>(null)
  if (!moment) return <p>Add a water first: what the boxes cover depends on where and when.</p>
  if (!rows || !larder || !plan) return <p aria-busy="true">Holding the boxes against the larder …</p>
  const stages = new Map(larder.stages.map((stage) => [stage.id as string, stage]))
  const variants = new Map(plan.variants.map((variant) => [variant.variantId as string, variant]))
  const holes = rows.filter(({ cells }) => cells.all.state === 'missing').length
  const thin = rows.filter(({ cells }) => cells.all.state === 'thin').length
  return (
    <Section aria-label="What the boxes cover">
      <h2>
        What they cover at {moment.reach.reachName}, {dayName(moment.on)} {clockTime(moment.localMin)}{' '}
        <Quiet>
          · {rows.length} foods: {rows.length - holes - thin} covered, {thin} thin, {holes}{' '}
          {holes === 1 ? 'hole' : 'holes'}
        </Quiet>
      </h2>
      <Grid aria-label="Cover">
        <thead>
          <tr>
            <th>food</th>
            {COVER_PARTS.map((part) => (
              <th key={part}>{PARTS[part]}</th>
            ))}
            <th className="number">patterns</th>
            <th>its colours</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const stage = stages.get(row.stageKey)
            if (!stage) return null
            const name = `${stage.foodName}, ${stage.stageName}`
            return [
              <tr
                key={row.stageKey}
                onMouseEnter={() => dispatch(light(row.stageKey))}
                onMouseLeave={() => dispatch(light(null))}
              >
                <td>
                  <button
                    type="button"
                    className="food"
                    aria-expanded={open === row.stageKey}
                    onClick={() => setOpen(open === row.stageKey ? null : row.stageKey)}
                  >
                    {name}
                  </button>
                </td>
                {COVER_PARTS.map((part) => (
                  <td key={part} className="state">
                    <State cell={row.cells[part]} />
                  </td>
                ))}
                <td className="number">{row.alternatives}</td>
                <td>
                  {row.colours.map(({ name: colour, hexWet, onHand }) => (
                    <span key={colour} className="colour">
                      <span className="swatch" style={{ background: hexWet }} />
                      {colour} {onHand > 0 ? <span className="figures">{onHand}</span> : <Quiet>none</Quiet>}
                    </span>
                  ))}
                </td>
              </tr>,
              open === row.stageKey ? (
                <tr key={`${row.stageKey} by`}>
                  <td colSpan={COVER_PARTS.length + 3}>
                    <Serving cell={row.cells.all} variants={variants} />
                  </td>
                </tr>
              ) : null,
            ]
          })}
        </tbody>
      </Grid>
    </Section>
  )
}
