import { Link, useNavigate } from 'react-router'
import styled from 'styled-components'
import { HALF_HOUR, standingOf, wording } from '../../../core/index.ts'
import type { FliesOf, PlannedNeed } from '../../../core/index.ts'
import type { PatternId, StageLine, VariantId } from '../../../contract/index.ts'
import { useFrameQuery, useLarderQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { dayName } from '../../words/words.ts'
import { BuyingList } from '../../parts/buying/BuyingList.tsx'
import { Button } from '../../ui/Button.tsx'
import { Dense, Fault, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import type { Ahead as Plan, AheadBatch, AheadPeriod } from './ahead.ts'
import { BatchRow, needName } from './BatchRow.tsx'
import { Evenings } from './Evenings.tsx'
import { Habits } from './Habits.tsx'
import { usePlan } from './usePlan.ts'
import { useQueue } from './useQueue.ts'
import { labels } from '../../words/ahead.ts'

const Table = styled(Dense)`
  td.covers {
    color: var(--quiet);
    max-width: 330px;
  }
  td.fly {
    width: 90px;
  }
  @media (max-width: 700px) {
    .wide {
      display: none;
    }
  }
`

/** How sure it is that no plan beats this one. */
function gapInWords(gap: number | null): string {
  if (gap === null) return 'A good plan; how much better one could be is not known yet.'
  return gap < 0.0005 ? 'No plan beats it.' : `No plan beats it by more than ${(100 * gap).toFixed(1)} %.`
}

interface PeriodProps {
  readonly period: AheadPeriod
  readonly plan: Plan
  readonly stages: ReadonlyMap<string, StageLine>
  /** day from which its evenings count */
  readonly from: string
  readonly onQueue: (batches: readonly AheadBatch[]) => void
}

/** Needs that hardly a fish is on are not named as open. */
const LEAST_OPEN_HOURS = 0.15
const MOST_OPEN = 3

/** Hours of the outing with something to show, as the boxes are and with what is tied, and what stays open. */
function Cover({ period, stages }: Pick<PeriodProps, 'period' | 'stages'>) {
  const { before, after, needs } = period
  const open = needs
    .map((need, n) => ({
      need,
      hours: HALF_HOUR * total(need.onIt) - total(after.needs[n]?.shown ?? []),
      standing: standingWord(need, period.held),
    }))
    .filter(({ need, hours }) => need.reachable && hours >= LEAST_OPEN_HOURS)
    .sort((a, b) => b.hours - a.hours)
    .slice(0, MOST_OPEN)
  return (
    <p>
      {wording.coveredHours(after.shown, after.hours)}
      {after.shown - before.shown >= 0.05 ? `; ${before.shown.toFixed(1)} as the boxes and the bench are` : ''}
      {after.outOfReach >= 0.1 ? (
        <Quiet> · {wording.shortHours(after.outOfReach)} on what cannot be shown so</Quiet>
      ) : null}
      {after.passing >= 0.1 ? (
        <Quiet> · flies that could pass would add {wording.shortHours(after.passing)}</Quiet>
      ) : null}
      {open.length > 0 ? (
        <>
          <br />
          <Quiet>
            {labels.stillOpen}{' '}
            {open.map(({ need, hours, standing }, nth) => (
              <span key={need.key}>
                {nth > 0 ? '; ' : ''}
                {needName(need, stages)} {wording.shortHours(hours)}
                {standing ? ` (${standing})` : ''}
                {need.stageKey !== null && need.serves.length === 0 ? (
                  <>
                    {', '}
                    <Link to={`/patterns/new?serves=${need.stageKey}`}>{labels.designOne}</Link>
                  </>
                ) : null}
              </span>
            ))}
            .{' '}
            {open.some(({ need }) => need.barred.some(({ variant }) => variant.onHand > 0))
              ? labels.barredHere
              : ''}
          </Quiet>
        </>
      ) : null}
    </p>
  )
}

/** A hole or thin even with what is tied; nothing where it is covered or hardly asked for. */
function standingWord(need: PlannedNeed, held: FliesOf): string | null {
  const found = need.stageKey === null ? null : standingOf(need, held)
  return found && found.standing !== 'covered' ? found.standing : null
}

const total = (hours: readonly number[]) => hours.reduce((sum, one) => sum + one, 0)

/** What to tie before one outing, and on which evenings. */
function BeforeOuting({ period, plan, stages, from, onQueue }: PeriodProps) {
  const command = useCommand()
  const { choices, evenings: differing, outings } = plan.planned
  const outing = outings.find(({ outingId }) => outingId === period.outingId)
  if (!outing) return null
  const used = period.batches.reduce((sum, { minutes }) => sum + minutes, 0)
  const fix = ({ variant }: AheadBatch, count: number | null) =>
    void command('planFix', {
      variantId: variant.variantId,
      patternId: variant.patternId,
      label: variant.label,
      count,
    })
  return (
    <Section aria-label={`Before ${dayName(outing.on)}`}>
      <h2>
        Before {dayName(outing.on)}, {outing.reachName}{' '}
        <Quiet>
          · {Math.round(used)} of {Math.round(period.minutes)} minutes at the bench
          {period.queuedMinutes >= 1 ? `, ${Math.round(period.queuedMinutes)} more for what waits there` : ''}
        </Quiet>
      </h2>
      <Cover period={period} stages={stages} />
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
                <td className="wide" />
                <th>{labels.tie}</th>
                <th>{labels.fly}</th>
                <th className="number">{labels.takes}</th>
                <th className="wide">{labels.forWord}</th>
                <th className="number wide">{labels.withoutIt}</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {period.batches.map((batch) => (
                <BatchRow
                  key={batch.candidate}
                  batch={batch}
                  plan={plan}
                  stages={stages}
                  fixed={choices[batch.candidate]}
                  onFix={(count) => fix(batch, count)}
                  onQueue={() => onQueue([batch])}
                />
              ))}
            </tbody>
          </Table>
          <Button look="main" onPress={() => onQueue(period.batches)}>
            {labels.queueAllOfIt}
          </Button>
        </>
      )}
      <Evenings
        period={period}
        differing={new Map(differing.map(({ on, minutes }) => [on, minutes]))}
        from={from}
        until={outing.on}
      />
    </Section>
  )
}

/** Flies that the user left out of the plan, each to be let back. */
function LeftOut({ plan }: { readonly plan: Plan }) {
  const command = useCommand()
  const { choices, variants } = plan.planned
  const left = variants.filter(({ variantId }) => choices[variantId] === 0)
  const newcomers = plan.newcomers.filter(({ variantId }) => choices[variantId] === 0)
  if (left.length + newcomers.length === 0) return null
  return (
    <Row>
      <Quiet>{labels.leftOut}</Quiet>
      {[...left, ...newcomers].map(({ variantId, patternId, label, name }) => (
        <Button
          key={variantId}
          look="quiet"
          onPress={() =>
            void command('planFix', {
              variantId: variantId as VariantId,
              patternId: patternId as PatternId,
              label,
              count: null,
            })
          }
        >
          {name} – let it back
        </Button>
      ))}
    </Row>
  )
}

/** The plan: what to tie before each coming outing, on which evening, what that covers, and what to buy by when. */
export default function Ahead() {
  const { data: frame } = useFrameQuery()
  const { data: larder } = useLarderQuery()
  const { ahead, isBroken, stop, again } = usePlan()
  const navigate = useNavigate()
  const { queue, refused } = useQueue(ahead?.planned.trayId)
  if (!frame || !larder) return <p aria-busy="true">{labels.lookingAhead}</p>
  const stages = new Map(larder.stages.map((stage) => [stage.id as string, stage]))
  return (
    <>
      <Heading>
        <h1>{labels.ahead}</h1>
        <Row>
          <Button
            isDisabled={!ahead}
            onPress={() =>
              void import('./exportPlan.ts').then(({ savePlanIcs }) => ahead && savePlanIcs(ahead))
            }
          >
            {labels.saveForACalendar}
          </Button>
          <Button onPress={() => void navigate('/')}>{labels.tonight}</Button>
        </Row>
      </Heading>
      <Habits />
      {refused ? <Fault>{refused}</Fault> : null}
      {isBroken ? (
        <Row>
          <Fault>{labels.notPlanned}</Fault>
          <Button onPress={again}>{labels.tryAgain}</Button>
        </Row>
      ) : null}
      {ahead ? (
        <>
          <Row>
            <span role="status">{gapInWords(ahead.gap)}</span>
            {ahead.isDone ? null : <Button onPress={stop}>{labels.keepThisOne}</Button>}
          </Row>
          <LeftOut plan={ahead} />
          {ahead.periods.map((period, k) => (
            <BeforeOuting
              key={period.outingId}
              period={period}
              plan={ahead}
              stages={stages}
              from={ahead.planned.outings[k - 1]?.on ?? frame.today}
              onQueue={(batches) => void queue(batches)}
            />
          ))}
          {ahead.planned.outings.length === 0 ? (
            <p>
              No outing is planned. <Link to="/outings?new=1">{labels.planOne}</Link>, and this page says what
              to tie for it.
            </p>
          ) : null}
          <BuyingList title={labels.whatToBuy} lines={ahead.buying} />
        </>
      ) : isBroken ? null : (
        <p aria-busy="true">{labels.planning}</p>
      )}
    </>
  )
}
