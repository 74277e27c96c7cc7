import { Link } from 'react-router'
import styled from 'styled-components'
import { wording } from '../../../core/index.ts'
import type { FoodAtMoment, StageLine } from '../../../contract/index.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import { HooksFor } from '../../parts/HooksFor.tsx'
import { Button } from '../../ui/Button.tsx'
import { Dense, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { LivesHere } from './LivesHere.tsx'
import { StageSeason } from './StageSeason.tsx'
import { useOnHand } from './useOnHand.ts'
import { MonthStrip } from '../../parts/MonthStrip.tsx'
import { CHOOSY, labels } from '../../words/larder.ts'

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]

/** What lives above this is fished on the surface, mm. */
const FILM_MM = 100

const sentence = (reasons: readonly string[]) => {
  const text = reasons.join('; ')
  return text === '' ? '' : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`
}

const Swatch = styled.span`
  display: inline-block;
  width: 22px;
  height: 14px;
  border: 1px solid var(--quiet);
  vertical-align: -2px;
  &:nth-child(2) {
    margin-right: 5px;
  }
`

/** Its colours, dry and wet. */
function Colours({ colours }: { readonly colours: StageLine['colours'] }) {
  return (
    <p>
      {colours.map(({ name, hexDry, hexWet }) => (
        <span key={name} style={{ marginRight: 14, whiteSpace: 'nowrap' }}>
          <Swatch style={{ background: hexDry }} />
          <Swatch style={{ background: hexWet }} />
          {name} <Quiet>{labels.dryWet}</Quiet>
        </span>
      ))}
    </p>
  )
}

/** All that is known of one stage, and which patterns serve it. */
export function StageSheet({
  stage,
  now,
  onClose,
  onEdit,
}: {
  readonly stage: StageLine
  /** null where hardly a fish is on it */
  readonly now: FoodAtMoment | null
  readonly onClose: () => void
  readonly onEdit: () => void
}) {
  const moment = useMoment()
  const { smallSpan, depth } = useWording()
  const onHand = useOnHand()(stage)
  const here = moment?.reach.reachName ?? 'a river'
  return (
    <>
      <Heading>
        <h1>
          {stage.foodName}, {stage.stageName}
        </h1>
        <Row>
          {stage.isShipped && stage.isEdited ? <Quiet>{labels.changedByYou}</Quiet> : null}
          <Button onPress={onEdit}>{labels.change}</Button>
          <Button onPress={onClose}>{labels.allFoods}</Button>
        </Row>
      </Heading>
      <p>
        {now ? (
          <>
            {wording.fishOnIt(now.onIt)} on it at {here} at this moment, {wording.fishOnIt(now.onItIfAbout)} if
            it is up; about: {wording.inTen(now.about)}; {CHOOSY[now.choosy]}.{' '}
            <Quiet>{sentence(now.reasons)}</Quiet>
          </>
        ) : (
          `No fish to speak of are on it at ${here} at this moment.`
        )}
      </p>
      {now && now.toMm > FILM_MM ? (
        <p>
          <Link
            to={`/outings?rig=&from=${Math.max(Math.round(now.fromMm), FILM_MM)}&to=${Math.round(now.toMm)}`}
          >
            {labels.howDoMyRigs} {depth(now.fromMm)} to {depth(now.toMm)}?
          </Link>
        </p>
      ) : null}
      {moment ? <LivesHere foodId={stage.foodId} moment={moment} /> : null}
      <StageSeason stage={stage} />
      <Section>
        <h2>{labels.forTheTier}</h2>
        <p>{stage.noteForTier}</p>
        <p>{stage.howFished}</p>
        <Colours colours={stage.colours} />
      </Section>
      <Section>
        <h2>{labels.throughTheYear}</h2>
        <MonthStrip months={stage.months} month={moment ? Number(moment.on.slice(5, 7)) - 1 : -1} />
        <Dense style={{ maxWidth: 420 }} aria-label={labels.byMonth}>
          <tbody>
            {stage.months.map((entry, i) =>
              entry ? (
                <tr key={i}>
                  <td>{MONTHS[i]}</td>
                  <td className="number">{wording.inTen(entry.likelihood)}</td>
                  <td className="number">
                    {smallSpan(entry.lengthMmLow, entry.lengthMmHigh)}
                    <HooksFor stage={stage} lowMm={entry.lengthMmLow} highMm={entry.lengthMmHigh} />
                  </td>
                </tr>
              ) : null,
            )}
          </tbody>
        </Dense>
      </Section>
      <Section>
        <h2>{labels.yourFliesForIt}</h2>
        {stage.servedBy.length > 0 ? (
          <p>
            {stage.servedBy.map(({ patternId, name }, i) => (
              <span key={patternId}>
                {i > 0 ? ', ' : ''}
                <Link to={`/patterns/${patternId}`}>{name}</Link>
              </span>
            ))}
            {onHand ? `: ${onHand} on hand.` : '.'}
          </p>
        ) : (
          <p>
            No pattern of yours serves it.{' '}
            <Link to={`/patterns/new?serves=${stage.id}`}>{labels.designOneForIt}</Link>
          </p>
        )}
      </Section>
    </>
  )
}
