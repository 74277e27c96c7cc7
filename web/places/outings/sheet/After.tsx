import { useMemo } from 'react'
import { useNavigate } from 'react-router'
import { waterside, wording } from '../../../../core/index.ts'
import type { AlongView } from '../../../../contract/index.ts'
import { sizesOf, takenIn } from '../../../parts/waterside/takeIn.ts'
import type { TapLog } from '../../../parts/waterside/useWaterside.ts'
import { Button } from '../../../ui/Button.tsx'
import { Dense, Quiet, Row, Section } from '../../../ui/layout.tsx'
import { useCommand } from '../../../wire/useCommand.ts'
import { minuteOfDay } from '../../../words/instants.ts'
import { labels, LEFT, madeWords, REFUSAL, STEP } from '../../../words/waterside.ts'
import { useWording } from '../../../words/useWording.ts'
import { clockTime } from '../../../words/words.ts'
import { TakeInLog } from './TakeInLog.tsx'
import { Fished } from '../Fished.tsx'

/** What was noted at the water, spell by spell, and what was made of it. */
function Noted({ along, standing }: { readonly along: AlongView; readonly standing: waterside.Standing }) {
  const nameOf = new Map(along.flies.map(({ variantId, name }) => [variantId as string, name]))
  const stageOf = new Map(along.stages.map(({ foodStageId, name }) => [foodStageId as string, name]))
  const { units } = useWording()
  const booked = new Set<string>(along.booked)
  const at = (ms: number) => clockTime(minuteOfDay(ms, along.timeZone))
  return (
    <Dense aria-label={labels.noted}>
      <thead>
        <tr>
          <th>{labels.hours}</th>
          <th>{labels.fly}</th>
          <th>{labels.whatChanged}</th>
          <th>{labels.whatCameOfIt}</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {standing.fished.map((one) => (
          <tr key={one.id}>
            <td>
              {at(one.fromMs)}–{one.toMs === null ? '' : at(one.toMs)}
            </td>
            <td>
              {nameOf.get(one.variantKey) ?? labels.unknownFly}{' '}
              <Quiet>{one.stageKey ? stageOf.get(one.stageKey) : ''}</Quiet>
            </td>
            <td>{one.step ? STEP[one.step] : ''}</td>
            <td>
              {[
                one.ends.length > 0 ? `${one.ends.length} ${one.ends.length === 1 ? 'take' : 'takes'}` : '',
                ...one.lengthsMm.map((mm) => wording.cutLength(mm, units)),
                ...one.refusals.map((refusal) => REFUSAL[refusal]),
              ]
                .filter(Boolean)
                .join(', ') || labels.nothing}
            </td>
            <td>{booked.has(one.id) ? <Quiet>{labels.takenIn}</Quiet> : null}</td>
          </tr>
        ))}
        {standing.lost.map(({ id, variantKeys, leftIn }) => (
          <tr key={id}>
            <td />
            <td>{variantKeys.map((key) => nameOf.get(key) ?? labels.unknownFly).join(', ')}</td>
            <td />
            <td>
              {labels.lost}: {LEFT[leftIn]}
            </td>
            <td>{booked.has(id) ? <Quiet>{labels.takenIn}</Quiet> : null}</td>
          </tr>
        ))}
      </tbody>
    </Dense>
  )
}

/** After an outing: what was noted becomes spells and losses, in one action that can be undone; then the pockets. */
export function After({
  along,
  log,
  today,
}: {
  readonly along: AlongView
  readonly log: TapLog
  readonly today: string
}) {
  const command = useCommand()
  const navigate = useNavigate()
  const standing = useMemo(() => waterside.standingAfter(log.taps), [log.taps])
  const made = takenIn(along, log.taps, today)
  const { spells, losses, samples } = made
  const waits = spells.length + losses.length + samples.length
  const { outing } = along
  return (
    <>
      <Section aria-label={labels.noted}>
        <Row>
          <h2>{labels.noted}</h2>
          {waits > 0 ? (
            <Button
              look="main"
              large
              onPress={() => void command('outingTakeIn', { outingId: outing.id, spells, losses, samples })}
            >
              {labels.takeIn}: {madeWords(sizesOf(made))}
            </Button>
          ) : null}
        </Row>
        {standing.fished.length + standing.lost.length === 0 ? (
          <Quiet>{labels.nothingNoted}</Quiet>
        ) : (
          <Noted along={along} standing={standing} />
        )}
      </Section>
      <TakeInLog along={along} today={today} />
      <Section>
        <h2>{labels.spells}</h2>
        <Fished outing={outing} />
      </Section>
      <Section>
        <Row>
          <Button large onPress={() => void navigate(`/outings?empty=${outing.id}`)}>
            {labels.emptyThePockets}
          </Button>
          <Quiet>{labels.dryTheBox}</Quiet>
        </Row>
      </Section>
    </>
  )
}
