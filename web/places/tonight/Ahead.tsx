import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import styled from 'styled-components'
import type { SettingsBody, StageLine, VariantId } from '../../../contract/index.ts'
import { useFrameQuery, useLarderQuery } from '../../app/api.ts'
import { newId, useCommand } from '../../app/useCommand.ts'
import { dayName } from '../../app/words.ts'
import { BuyingList } from '../buying/BuyingList.tsx'
import { ListedFly } from '../../drawing/ListedFly.tsx'
import { useTrueSize } from '../../drawing/trueSize.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox } from '../../ui/fields.tsx'
import { Dense, Fault, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { usePlan } from './usePlan.ts'
import type { Ahead as Plan, AheadBatch } from './usePlan.ts'

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const MOST_COVERED = 3

const Table = styled(Dense)`
  td.covers {
    color: var(--quiet);
    max-width: 330px;
  }
  td.fly {
    width: 90px;
  }
`

/** The time there is and how sure one wants to be: the only things that a plan asks for. */
function Habits({ settings, version }: { readonly settings: SettingsBody; readonly version: number }) {
  const command = useCommand()
  const save = (change: Partial<SettingsBody>) =>
    void command('settingsSave', { version, settings: { ...settings, ...change } })
  const { minutes, weekdays } = settings.evenings
  return (
    <Row $align="end" role="group" aria-label="Time at the bench">
      <NumberField
        label="Minutes an evening"
        value={minutes}
        min={5}
        max={600}
        width="130px"
        whenLeft
        onChange={(value) =>
          value !== null && Number.isInteger(value)
            ? save({ evenings: { ...settings.evenings, minutes: value } })
            : undefined
        }
      />
      {DAYS.map((day, i) => (
        <Checkbox
          key={day}
          isSelected={weekdays.includes(i + 1)}
          onChange={(on) => {
            const next = DAYS.flatMap((_, at) => ((at === i ? on : weekdays.includes(at + 1)) ? [at + 1] : []))
            if (next.length > 0) save({ evenings: { ...settings.evenings, weekdays: next } })
          }}
        >
          {day}
        </Checkbox>
      ))}
      <NumberField
        label="Enough in so many of 100 outings"
        value={Math.round(settings.serviceLevel * 100)}
        min={50}
        max={99}
        width="220px"
        whenLeft
        onChange={(value) => (value === null ? undefined : save({ serviceLevel: value / 100 }))}
      />
    </Row>
  )
}

function coversInWords(batch: AheadBatch, plan: Plan, stages: ReadonlyMap<string, StageLine>): string {
  const names = batch.covers.slice(0, MOST_COVERED).map(({ need }) => {
    const stage = stages.get(plan.needs.get(need)?.stageKey ?? '')
    return stage ? `${stage.foodName}, ${stage.stageName}` : ''
  })
  const rest = batch.covers.length - MOST_COVERED
  return `${[...new Set(names)].join('; ')}${rest > 0 ? `; ${rest} more` : ''}`
}

interface BatchRowProps {
  readonly batch: AheadBatch
  readonly plan: Plan
  readonly stages: ReadonlyMap<string, StageLine>
  readonly fixed: number | undefined
  readonly onFix: (count: number | null) => void
  readonly onQueue: () => void
}

function BatchRow({ batch, plan, stages, fixed, onFix, onQueue }: BatchRowProps) {
  const pxPerMm = useTrueSize()
  const { variant, count } = batch
  return (
    <tr>
      <td className="fly">
        <ListedFly drawingKey={variant.figure.drawingKey} pxPerMm={pxPerMm} title={variant.name} />
      </td>
      <td>
        <NumberField
          label={`How many ${variant.name}`}
          hideLabel
          value={fixed ?? count}
          min={0}
          max={12}
          width="64px"
          onChange={(value) => (value === null || !Number.isInteger(value) ? undefined : onFix(value))}
        />
      </td>
      <td>
        <Link to={`/patterns/${variant.patternId}?variant=${variant.variantId}`}>{variant.name}</Link>
        <br />
        <Quiet>{variant.onHand} on hand</Quiet>
      </td>
      <td className="number">
        {Math.round(batch.minutes)} min
        <br />
        <Quiet>{variant.timedFlies > 0 ? `timed ×${variant.timedFlies}` : 'usual'}</Quiet>
      </td>
      <td className="covers">{coversInWords(batch, plan, stages)}</td>
      <td className="number">−{(100 * batch.costOfLeaving).toFixed(batch.costOfLeaving < 0.01 ? 1 : 0)} %</td>
      <td>
        <Row $gap={4}>
          <Button onPress={onQueue} aria-label={`Queue ${count} ${variant.name}`}>
            Queue
          </Button>
          {fixed === undefined ? (
            <Button look="quiet" onPress={() => onFix(0)} aria-label={`Leave ${variant.name} out`}>
              leave out
            </Button>
          ) : (
            <Button look="quiet" onPress={() => onFix(null)} aria-label={`Let the plan choose ${variant.name}`}>
              let it choose
            </Button>
          )}
        </Row>
      </td>
    </tr>
  )
}

/** The plan: what to tie before each coming outing, on which evening, what that covers, and what to buy by when. */
export default function Ahead() {
  const { data: frame } = useFrameQuery()
  const { data: larder } = useLarderQuery()
  const { ahead, stop } = usePlan()
  const command = useCommand()
  const navigate = useNavigate()
  const [refused, setRefused] = useState<string | null>(null)
  if (!frame || !larder) return <p aria-busy="true">Looking ahead …</p>
  const stages = new Map(larder.stages.map((stage) => [stage.id as string, stage]))
  const choices = ahead?.view.choices ?? {}
  const fix = (variantId: string) => (count: number | null) =>
    void command('planFix', { variantId: variantId as VariantId, count })
  const queue = async (batches: readonly AheadBatch[]) => {
    const trayId = ahead?.view.trayId
    if (!trayId) return
    setRefused(null)
    for (const { variant, count } of batches) {
      const compartmentId = variant.compartmentId ?? trayId
      const delivery = await command(
        'batchPlan',
        { batchId: newId(), variantId: variant.variantId, plannedCount: count, compartmentId, onVise: false },
        { quietly: true },
      )
      if (delivery.kind === 'refused') {
        setRefused(delivery.problem.detail)
        return
      }
    }
  }
  const left = Object.entries(choices).filter(([, count]) => count === 0)
  const nameOf = (variantId: string) =>
    ahead?.view.variants.find((variant) => variant.variantId === variantId)?.name ?? ''
  return (
    <>
      <Heading>
        <h1>Ahead</h1>
        <Row>
          <Button
            isDisabled={!ahead}
            onPress={() =>
              void import('./exportPlan.ts').then(({ savePlanIcs }) => ahead && savePlanIcs(ahead))
            }
          >
            Save for a calendar
          </Button>
          <Button onPress={() => void navigate('/')}>Tonight</Button>
        </Row>
      </Heading>
      <Habits settings={frame.settings} version={frame.settingsVersion} />
      {refused ? <Fault>{refused}</Fault> : null}
      {!ahead ? <p aria-busy="true">Planning …</p> : null}
      {ahead ? (
        <Row>
          <span role="status">
            {ahead.gap === null
              ? 'A good plan; how much better one could be is not known yet.'
              : ahead.gap < 0.0005
                ? 'No plan beats it.'
                : `No plan beats it by more than ${(100 * ahead.gap).toFixed(1)} %.`}
          </span>
          {ahead.isDone ? null : <Button onPress={stop}>Keep this one</Button>}
        </Row>
      ) : null}
      {left.length > 0 ? (
        <Row>
          <Quiet>Left out:</Quiet>
          {left.map(([variantId]) => (
            <Button key={variantId} look="quiet" onPress={() => fix(variantId)(null)}>
              {nameOf(variantId)} – let it back
            </Button>
          ))}
        </Row>
      ) : null}
      {ahead?.periods.map((period) => {
        const outing = ahead.view.outings.find(({ outingId }) => outingId === period.outingId)
        if (!outing) return null
        const used = period.batches.reduce((sum, { minutes }) => sum + minutes, 0)
        return (
          <Section key={period.outingId} aria-label={`Before ${dayName(outing.on)}`}>
            <h2>
              Before {dayName(outing.on)}, {outing.reachName}{' '}
              <Quiet>
                · {Math.round(used)} of {period.minutes} minutes at the bench
              </Quiet>
            </h2>
            {period.batches.length === 0 ? (
              <p>
                {period.minutes === 0
                  ? 'No evening is left before it.'
                  : 'Nothing that you tie would make it any better than what the boxes hold.'}
              </p>
            ) : (
              <>
                <Table aria-label={`To tie before ${dayName(outing.on)}`}>
                  <thead>
                    <tr>
                      <td />
                      <th>tie</th>
                      <th>fly</th>
                      <th className="number">takes</th>
                      <th>for</th>
                      <th className="number">left out, cover</th>
                      <td />
                    </tr>
                  </thead>
                  <tbody>
                    {period.batches.map((batch) => (
                      <BatchRow
                        key={batch.candidate}
                        batch={batch}
                        plan={ahead}
                        stages={stages}
                        fixed={choices[batch.candidate]}
                        onFix={fix(batch.candidate)}
                        onQueue={() => void queue([batch])}
                      />
                    ))}
                  </tbody>
                </Table>
                <p>
                  {[...new Set(period.evenings.map(({ on }) => on))]
                    .map(
                      (on) =>
                        `${dayName(on)}: ${period.evenings
                          .filter((share) => share.on === on)
                          .map(({ count, batch }) => `${count} ${batch.variant.name}`)
                          .join(', ')}`,
                    )
                    .join('. ')}
                  .
                </p>
                <Button look="main" onPress={() => void queue(period.batches)}>
                  Queue all of it
                </Button>
              </>
            )}
          </Section>
        )
      })}
      {ahead && ahead.view.outings.length === 0 ? (
        <p>
          No outing is planned. <Link to="/outings?new=1">Plan one</Link>, and this page says what to tie for
          it.
        </p>
      ) : null}
      {ahead ? <BuyingList title="What to buy" lines={ahead.buying} /> : null}
    </>
  )
}
