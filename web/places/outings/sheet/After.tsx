import { useMemo } from 'react'
import { useNavigate } from 'react-router'
import { waterside } from '../../../../core/index.ts'
import type { AlongView } from '../../../../contract/index.ts'
import { saveFile } from '../../../files/saveFile.ts'
import { goneNames, sizesOf, takenIn } from '../../../parts/waterside/takeIn.ts'
import type { TapLog } from '../../../parts/waterside/useWaterside.ts'
import { Button } from '../../../ui/Button.tsx'
import { Caution, Dense, Quiet, Row, Section } from '../../../ui/layout.tsx'
import { useFrameQuery, useOutingsQuery } from '../../../wire/answers.ts'
import { useCommand } from '../../../wire/useCommand.ts'
import { minuteOfDay } from '../../../words/instants.ts'
import { cameOfIt, labels, LEFT, madeWords, STEP } from '../../../words/waterside.ts'
import { useWording } from '../../../words/useWording.ts'
import { clockTime } from '../../../words/words.ts'
import type { KeptPage } from './keptPage.ts'
import { movedBy } from './movedBy.ts'
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
            <td>{cameOfIt(one, units)}</td>
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

/** A fly that is still fished where the notes end: reeled in then, unless somebody says otherwise. */
function StillOn({ along, log }: { readonly along: AlongView; readonly log: TapLog }) {
  const { fished } = waterside.standingAfter(log.taps)
  const [last, lastTap] = [fished.at(-1), waterside.heldEvents(log.taps).at(-1)]
  if (!last || !lastTap || last.toMs !== null) return null
  const name = along.flies.find(({ variantId }) => variantId === last.variantKey)?.name ?? labels.unknownFly
  return (
    <Row>
      <Caution>
        {name} {labels.stillOn}
      </Caution>
      <Button large onPress={() => log.note({ kind: 'reeledIn' }, lastTap.atMs + 1)}>
        {labels.reeledInAt} {clockTime(minuteOfDay(lastTap.atMs, along.timeZone))}
      </Button>
    </Row>
  )
}

/** Offers an outing's page for keeping, as PDF or as Markdown. */
async function keep(page: KeptPage, on: string, as: 'pdf' | 'md'): Promise<void> {
  const { keptMarkdown, keptPdf } = await import('./keptPage.ts')
  const { shippedFont } = await import('../../../files/shippedFont.ts')
  const content = as === 'md' ? keptMarkdown(page) : ((await keptPdf(page, await shippedFont())) as BlobPart)
  saveFile(
    `outing-${on}.${as}`,
    new Blob([content], { type: as === 'md' ? 'text/markdown' : 'application/pdf' }),
  )
}

/** What an outing moved, and its page to keep. */
function Moved({ along }: { readonly along: AlongView }) {
  const { data } = useOutingsQuery()
  const { units } = useWording()
  if (!data) return null
  const moved = movedBy(along, data.outings)
  const save = (as: 'pdf' | 'md') =>
    void import('./keptPage.ts').then(({ keptPage }) =>
      keep(keptPage(along, moved, units), along.outing.on, as),
    )
  return (
    <Section aria-label={labels.whatItMoved}>
      <Row>
        <h2>{labels.whatItMoved}</h2>
        <Button onPress={() => save('pdf')}>{labels.keepAsPdf}</Button>
        <Button look="quiet" onPress={() => save('md')}>
          {labels.keepAsText}
        </Button>
      </Row>
      {moved.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
    </Section>
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
  const { spells, losses, samples, readings } = made
  const waits = spells.length + losses.length + samples.length + readings.length
  const { data: frame } = useFrameQuery()
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
              onPress={() =>
                void command('outingTakeIn', { outingId: outing.id, spells, losses, samples, readings })
              }
            >
              {labels.takeIn}: {madeWords(sizesOf(made))}
            </Button>
          ) : null}
          {waits > 0 && frame?.isDemo ? <Quiet>{labels.simulatedPhone}</Quiet> : null}
        </Row>
        {made.gone.length > 0 ? (
          <Caution>
            {labels.noLongerThere} {goneNames(along, made.gone)}.
          </Caution>
        ) : null}
        {outing.on < today || outing.status === 'done' ? <StillOn along={along} log={log} /> : null}
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
      <Moved along={along} />
      <Section>
        <Row>
          <Button large onPress={() => void navigate(`/outings?empty=${outing.id}&from=sheet`)}>
            {labels.emptyThePockets}
          </Button>
          <Quiet>{labels.dryTheBox}</Quiet>
        </Row>
      </Section>
    </>
  )
}
