import { lazy, Suspense, useDeferredValue, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import styled from 'styled-components'
import type { FrameView, TonightLine, TonightView } from '../../../contract/index.ts'
import { useFrameQuery, useTonightQuery } from '../../wire/answers.ts'
import { usePlaceActions } from '../../ui/shortcuts.ts'
import { useIsLit } from '../../wire/lit.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { defaultUnits } from '../../words/defaultUnits.ts'
import { clockTime, dayName, shortTemp, techniquesInWords } from '../../words/words.ts'
import { ListedFly, ListedSlits } from '../../drawing/ListedFly.tsx'
import { useTrueSize } from '../../drawing/trueSize.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Caution, Heading, Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/tonight.ts'
import { rulesSentence } from '../../words/rules.ts'

/** Only who has no water, fly or recipe yet needs it. */
const FirstEvening = lazy(() => import('./FirstEvening.tsx'))

/** Whether the three lines of the first evening still ask for something: a water, a recipe, a fly in a box. */
const isFirstEvening = ({ waters, patterns, flies }: FrameView['roll']): boolean =>
  waters === 0 || patterns === 0 || flies === 0

const Lines = styled.ol`
  max-width: 820px;
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 14px;
    align-items: center;
    padding: 11px 6px 11px 0;
    border-bottom: 1px solid var(--rule);
    min-height: 56px;
  }
  li[data-lit='true'] {
    background: var(--panel);
    box-shadow: inset 3px 0 0 var(--thistle);
    padding-left: 10px;
  }
  .sort {
    width: 68px;
    font-size: 0.8125rem;
    color: var(--quiet);
    align-self: start;
    padding-top: 3px;
  }
  .text {
    flex: 1 1 250px;
    font-size: 1.0625rem;
    line-height: 1.35;
    color: var(--ink);
  }
  a.text {
    text-decoration-color: var(--rule);
  }
  .more {
    flex-basis: 100%;
    display: flex;
    align-items: center;
    gap: 14px;
    flex-wrap: wrap;
    padding-left: 82px;
  }
  @media (max-width: 700px) {
    .text {
      flex-basis: 100%;
    }
    .more {
      padding-left: 0;
    }
  }
`

const SORTS: Readonly<Record<TonightLine['kind'], string>> = {
  likely: 'likely',
  lacking: 'lacking',
  tie: 'tie',
  buy: 'buy',
  measure: 'measure',
  covered: 'covered',
}

function targetOf(line: TonightLine): string | null {
  if (line.materialId) return `/stores?material=${line.materialId}`
  if (line.variantId) return `/patterns/${line.patternId}?variant=${line.variantId}`
  return line.foodStageId ? `/larder?stage=${line.foodStageId}` : null
}

interface LineProps {
  readonly line: TonightLine
  /** the one next step of the page */
  readonly isFirst: boolean
  readonly onTie: (line: TonightLine, onVise: boolean) => void
}

function Sentence({ line, isFirst, onTie }: LineProps) {
  const dispatch = useAppDispatch()
  const pxPerMm = useTrueSize()
  const subject = line.variantId ?? line.foodStageId ?? line.materialId
  const isLit = useIsLit(subject)
  const target = targetOf(line)
  const lightUp = () => dispatch(light(subject))
  const dim = () => dispatch(light(null))
  return (
    <li data-lit={isLit} onMouseEnter={lightUp} onMouseLeave={dim} onFocus={lightUp} onBlur={dim}>
      <span className="sort">{SORTS[line.kind]}</span>
      {target ? (
        <Link className="text" to={target}>
          {line.text}
        </Link>
      ) : (
        <span className="text">{line.text}</span>
      )}
      {line.kind === 'tie' && line.batch ? (
        <Row $gap={6}>
          <Button look={isFirst ? 'main' : 'plain'} onPress={() => onTie(line, true)}>
            Put {line.batch.count} on the vise
          </Button>
          <Button onPress={() => onTie(line, false)}>{labels.queue}</Button>
        </Row>
      ) : null}
      {line.kind === 'tie' && line.drawingKey && line.par !== null ? (
        <span className="more">
          <ListedFly drawingKey={line.drawingKey} pxPerMm={pxPerMm} title={labels.atItsTrueSize} />
          <ListedSlits
            onHand={line.onHand ?? 0}
            keep={line.par}
            drawingKey={line.drawingKey}
            label={labels.onHand}
          />
        </span>
      ) : null}
    </li>
  )
}

function Outing({ view }: { readonly view: TonightView }) {
  const { outing } = view
  const { data: frame } = useFrameQuery()
  const units = frame?.settings.units ?? defaultUnits
  if (!outing) {
    return (
      <p>
        No outing is planned. <Link to="/outings?new=1">{labels.planOne}</Link>, and this page says what it asks
        for.
      </p>
    )
  }
  const where =
    outing.waterName === outing.reachName ? outing.waterName : `${outing.waterName}, ${outing.reachName}`
  return (
    <p>
      Next: <Link to="/outings">{dayName(outing.on)}</Link>, {where}, {clockTime(outing.fromLocalMin)}–
      {clockTime(outing.toLocalMin)}, {techniquesInWords(outing.techniques)}.{' '}
      <Quiet>{rulesSentence(outing.rules, units)} The posted rule decides.</Quiet>
    </p>
  )
}

const NO_MINUTES = {}
const MOST_MINUTES = 600

/** Home: what the next water is likely to ask for, what the boxes lack, what to tie, what to buy. */
export function Tonight() {
  const { data: frame } = useFrameQuery()
  const [time, setTime] = useState('')
  const command = useCommand()
  const navigate = useNavigate()
  const minutes = /^\d{1,3}$/.test(time.trim()) && Number(time) <= MOST_MINUTES ? Number(time) : null
  // what stands there stays until the answer for these minutes has come
  const { data } = useTonightQuery(useDeferredValue(minutes === null ? NO_MINUTES : { minutes }))

  const tie = async (line: TonightLine, onVise: boolean) => {
    if (!line.batch || !line.variantId) return
    const { count: plannedCount } = line.batch
    const delivery = await command('batchPlan', {
      batchId: newId(),
      variantId: line.variantId,
      plannedCount,
      compartmentId: line.batch.compartmentId,
      onVise,
    })
    if (delivery.kind === 'done' && onVise) void navigate('/bench')
  }
  const batch = data?.lines.find(({ kind }) => kind === 'tie')
  usePlaceActions([
    ...(batch
      ? [
          { key: 'b', what: labels.queueTheFirst, go: () => void tie(batch, false) },
          { what: labels.firstOnTheVise, go: () => void tie(batch, true) },
        ]
      : []),
    { key: 'n', what: labels.planAnOuting, go: () => void navigate('/outings?new=1') },
    { what: labels.lookAhead, go: () => void navigate('/ahead') },
  ])

  if (!data || !frame) return <p aria-busy="true">{labels.lookingAtTheWater}</p>
  const first = isFirstEvening(frame.roll) ? (
    <Suspense fallback={null}>
      <FirstEvening frame={frame} />
    </Suspense>
  ) : null
  if (data.empty) return first
  const warm = data.moment && data.moment.waterTempC >= 19
  return (
    <>
      {first}
      <Heading>
        {first ? <h2>{dayName(frame.today)}</h2> : <h1>Tonight, {dayName(frame.today)}</h1>}
        <Row $gap={8}>
          <span>{labels.iHave}</span>
          <TextField
            label={labels.minutesAtTheBench}
            hideLabel
            value={time}
            onChange={setTime}
            width="64px"
            maxLength={3}
            fault={time !== '' && minutes === null ? `Minutes, ${MOST_MINUTES} at most.` : undefined}
          />
          <span>{labels.minutes}</span>
          <Button onPress={() => void navigate('/ahead')}>{labels.ahead}</Button>
        </Row>
      </Heading>
      <Outing view={data} />
      {warm ? (
        <Caution>
          Water about {shortTemp(data.moment?.waterTempC ?? 0, frame?.settings.units ?? defaultUnits)}: leave
          the trout alone on such a day.
        </Caution>
      ) : null}
      <Lines aria-label={labels.whatTonightAsksFor}>
        {data.lines.map((line, i) => (
          <Sentence
            key={`${line.kind}-${i}`}
            line={line}
            isFirst={line === batch}
            onTie={(l, v) => void tie(l, v)}
          />
        ))}
      </Lines>
      {data.lines.length === 0 ? <p>{labels.noFoodIsRecorded}</p> : null}
    </>
  )
}
