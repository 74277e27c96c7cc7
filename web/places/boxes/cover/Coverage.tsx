import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { within } from '../../../../contract/limits.ts'
import { anchorsOf, wording } from '../../../../core/index.ts'
import type { CoverLook, CoverRules } from '../../../../core/index.ts'
import { toServing } from '../../../../contract/planned.ts'
import { useLarderQuery } from '../../../wire/answers.ts'
import { usePlanned } from '../../../wire/planned.ts'
import { useSettings } from '../../../wire/useSettings.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { useNow } from '../../../moment/useNow.ts'
import { clockTime, dayName } from '../../../words/words.ts'
import { Checkbox } from '../../../ui/fields.tsx'
import { Quiet, Row, Section } from '../../../ui/layout.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { OneOf } from '../../../ui/OneOf.tsx'
import { labels } from '../../../words/cover.ts'
import { ByConfidence } from './ByConfidence.tsx'
import { ByFood } from './ByFood.tsx'
import { BySeason } from './BySeason.tsx'
import { BySituation } from './BySituation.tsx'
import { Working } from '../../../parts/Working.tsx'
import { STATES } from './states.ts'
import { useCoverage } from './useCoverage.ts'
import { useHeld, useServingPlace } from './useHeld.ts'

const LOOKS = [
  { id: 'food', name: labels.byFood },
  { id: 'situation', name: labels.bySituation },
  { id: 'season', name: labels.bySeason },
  { id: 'confidence', name: labels.byConfidence },
] as const
type Look = (typeof LOOKS)[number]['id']

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
  readonly anchors: ReturnType<typeof anchorsOf>
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

/** Of ten fish at the moment, how many have something on hand to show. */
function Now() {
  const moment = useMoment()
  const at = useNow()
  const place = useServingPlace()
  const looks = useMemo((): readonly CoverLook[] | null => {
    if (!moment || !at || !place) return null
    const foods = at.foods.map(({ foodStageId, onIt, lengthMmLow, lengthMmHigh }) => ({
      stageKey: foodStageId,
      worth: onIt,
      lengthMmLow,
      lengthMmHigh,
    }))
    return [
      {
        key: 'now',
        foods,
        whatever: at.whatever,
        place,
        clarity: moment.said?.clarity ?? null,
        month: Number(moment.on.slice(5, 7)),
        without: [],
      },
    ]
  }, [moment, at, place])
  const held = useHeld('coverNow', looks)
  const [cover] = held.found ?? []
  if (!cover || held.isBroken) return <Working of={held} />
  return (
    <p role="status">
      {wording.fishOnIt(cover.shown)} {labels.haveSomething}
      {cover.passing >= 0.05 ? <Quiet> · {wording.passingToo(cover.passing)}</Quiet> : null}
    </p>
  )
}

/** What the boxes hold against what fish are on: by food and stage, by situation, by season, by confidence. */
export default function Coverage() {
  const moment = useMoment()
  const [params, setParams] = useSearchParams()
  const look = (params.get('look') as Look | null) ?? 'food'
  const [season, setSeason] = useState(false)
  const coverage = useCoverage(season && look === 'food')
  const rows = coverage.found
  const { settings, change } = useSettings()
  const { data: larder } = useLarderQuery()
  const plan = usePlanned()
  const place = useServingPlace()
  if (!moment) return <p>{labels.addAWaterFirst}</p>
  if (!rows || coverage.isBroken || !larder || !plan || !settings || !place)
    return <Working of={coverage} label={labels.holdingNow} />
  const stages = new Map(larder.stages.map((stage) => [stage.id as string, stage]))
  const variants = new Map(plan.variants.map((variant) => [variant.variantId as string, variant]))
  const rules = settings.cover
  const state = (wanted: string) => rows.filter(({ cells }) => cells.all.state === wanted).length
  const [covered, short, holes, none] = [state('covered'), state('short'), state('hole'), state('none')]
  const choose = (id: Look) =>
    setParams((before) => {
      const next = new URLSearchParams(before)
      if (id === 'food') next.delete('look')
      else next.set('look', id)
      return next
    })
  return (
    <Section aria-label={labels.whatTheBoxesCover}>
      <h2>
        What they cover at {moment.reach.reachName},{' '}
        {season && look === 'food' ? 'the whole season' : `${dayName(moment.on)} ${clockTime(moment.localMin)}`}{' '}
        <Quiet>
          · {rows.length} foods: {covered} covered, {short} short, {wording.counted(holes, 'hole', 'holes')},{' '}
          {none} more {labels.withNone}
        </Quiet>
      </h2>
      <Now />
      <OneOf label={labels.howToLook} choices={LOOKS} chosen={look} onChoose={choose} />
      {look === 'food' ? (
        <>
          <WhatIsAsked
            season={season}
            onSeason={setSeason}
            rules={rules}
            onAsk={(cover) => change({ cover })}
            anchors={anchorsOf(plan.variants.map(toServing), rules, place)}
          />
          <ByFood rows={rows} stages={stages} variants={variants} />
        </>
      ) : null}
      {look === 'situation' ? <BySituation stages={stages} /> : null}
      {look === 'season' ? <BySeason stages={stages} /> : null}
      {look === 'confidence' ? <ByConfidence rows={rows} stages={stages} /> : null}
    </Section>
  )
}
