import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import styled from 'styled-components'
import { anchorsOf, COVER_PARTS, seasonFoods } from '../../../core/index.ts'
import type { CoverCell, CoverPart, CoverRow, CoverRules } from '../../../core/index.ts'
import type { FoodAtMoment } from '../../../contract/index.ts'
import { useFrameQuery, useLarderQuery, useMomentQuery } from '../../wire/api.ts'
import { toServing, usePlanned } from '../../wire/planned.ts'
import type { PlannedVariant } from '../../wire/planned.ts'
import { light, setWork } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { clockTime, dayName } from '../../words/words.ts'
import { Checkbox } from '../../ui/fields.tsx'
import { Dense, Quiet, Row, Section } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { runJob } from '../../workers/gateway.ts'

const MOST_FOODS = 30
/** What is hardly ever worth a fly is not asked for. */
const LEAST_WORTH = 0.12

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

/** The foods of the moment, or of the whole season, against the boxes; null while that is worked out. */
function useCoverage(season: boolean): readonly CoverRow[] | null {
  const moment = useMoment()
  const plan = usePlanned()
  const { data: larder } = useLarderQuery()
  const { data: frame } = useFrameQuery()
  const { data: at } = useMomentQuery(
    { reachId: moment?.reachId ?? '', on: moment?.on ?? '', localMin: moment?.localMin ?? 0 },
    { skip: !moment },
  )
  const [rows, setRows] = useState<readonly CoverRow[] | null>(null)
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (!moment || !plan || !larder || !frame || !at) return
    const controller = new AbortController()
    const { waterKind, typicalDepthMm, surfaceSpeedMmPerS } = moment.reach
    const work = async () => {
      const found = await runJob(
        'coverageOf',
        {
          foods: season
            ? seasonFoods(larder.stages, waterKind, LEAST_WORTH)
            : at.foods.slice(0, MOST_FOODS).map((food: FoodAtMoment) => ({
                stageKey: food.foodStageId,
                worth: food.worth,
                lengthMmLow: food.lengthMmLow,
                lengthMmHigh: food.lengthMmHigh,
              })),
          stages: larder.stages,
          variants: plan.variants.map(toServing),
          waterKind,
          bedMm: typicalDepthMm,
          surfaceSpeedMmPerS,
          school: frame.settings.school,
          keep: frame.settings.parCount,
          rules: frame.settings.cover,
        },
        {
          key: 'coverageOf',
          signal: controller.signal,
          onProgress: ({ done }) =>
            controller.signal.aborted
              ? undefined
              : dispatch(setWork({ label: 'Holding the boxes against the larder', done })),
        },
      )
      if (controller.signal.aborted) return
      dispatch(setWork(null))
      if (!('kind' in found)) setRows(found)
    }
    void work()
    return () => {
      controller.abort()
      dispatch(setWork(null))
    }
  }, [moment, plan, larder, frame, at, season, dispatch])
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
  readonly variants: ReadonlyMap<string, PlannedVariant>
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
  const [season, setSeason] = useState(false)
  const rows = useCoverage(season)
  const { data: frame } = useFrameQuery()
  const command = useCommand()
  const { data: larder } = useLarderQuery()
  const plan = usePlanned()
  const dispatch = useAppDispatch()
  const [open, setOpen] = useState<string | null>(null)
  if (!moment) return <p>Add a water first: what the boxes cover depends on where and when.</p>
  if (!rows || !larder || !plan || !frame) return <p aria-busy="true">Holding the boxes against the larder …</p>
  const stages = new Map(larder.stages.map((stage) => [stage.id as string, stage]))
  const variants = new Map(plan.variants.map((variant) => [variant.variantId as string, variant]))
  const rules = frame.settings.cover
  const ask = (change: Partial<CoverRules>) =>
    void command('settingsSave', {
      version: frame.settingsVersion,
      settings: { ...frame.settings, cover: { ...rules, ...change } },
    })
  const anchors = anchorsOf(plan.variants.map(toServing), rules)
  const holes = rows.filter(({ cells }) => cells.all.state === 'missing').length
  const thin = rows.filter(({ cells }) => cells.all.state === 'thin').length
  return (
    <Section aria-label="What the boxes cover">
      <h2>
        What they cover at {moment.reach.reachName},{' '}
        {season ? 'the whole season' : `${dayName(moment.on)} ${clockTime(moment.localMin)}`}{' '}
        <Quiet>
          · {rows.length} foods: {rows.length - holes - thin} covered, {thin} thin, {holes}{' '}
          {holes === 1 ? 'hole' : 'holes'}
        </Quiet>
      </h2>
      <Row $align="end" role="group" aria-label="What is asked of the boxes" style={{ paddingBottom: 8 }}>
        <Checkbox isSelected={season} onChange={setSeason}>
          the whole season
        </Checkbox>
        <Checkbox isSelected={rules.sizes} onChange={(sizes) => ask({ sizes })}>
          small and large
        </Checkbox>
        <Checkbox isSelected={rules.lightAndHeavy} onChange={(lightAndHeavy) => ask({ lightAndHeavy })}>
          light and heavy
        </Checkbox>
        <NumberField
          label="Patterns in the film"
          value={rules.alternatives}
          min={0}
          max={9}
          whenLeft
          width="130px"
          onChange={(value) => (value === null ? undefined : ask({ alternatives: Math.round(value) }))}
        />
        <NumberField
          label="Anchors"
          value={rules.anchors}
          min={0}
          max={99}
          whenLeft
          onChange={(value) => (value === null ? undefined : ask({ anchors: Math.round(value) }))}
        />
        {anchors.state === 'notAsked' ? null : (
          <span>
            <span className="figures">{anchors.onHand}</span> anchors on hand{' '}
            <span style={{ color: STATES[anchors.state].colour }}>{STATES[anchors.state].word}</span>
          </span>
        )}
      </Row>
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
                <td className="number">
                  {row.alternatives.patterns}{' '}
                  <span style={{ color: STATES[row.alternatives.state].colour }}>
                    {row.alternatives.state === 'notAsked' || row.alternatives.state === 'covered'
                      ? ''
                      : `of ${row.alternatives.wanted}`}
                  </span>
                </td>
                <td>
                  {row.colours.map(({ name: colour, hexWet, onHand }) => (
                    <span key={colour} className="colour">
                      <span className="swatch" style={{ background: hexWet }} />
                      <span>
                        {colour} {onHand > 0 ? <span className="figures">{onHand}</span> : <Quiet>none</Quiet>}
                      </span>
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
