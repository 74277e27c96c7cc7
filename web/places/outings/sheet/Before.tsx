import styled from 'styled-components'
import { Link, useNavigate } from 'react-router'
import { wording } from '../../../../core/index.ts'
import { PATHS } from '../../../../contract/paths.ts'
import type { AlongView } from '../../../../contract/index.ts'
import { saveFile } from '../../../files/saveFile.ts'
import { pocketCard, pocketMarkdown, stageDepth } from '../../../parts/waterside/pocketCard.ts'
import type { PocketCard } from '../../../parts/waterside/pocketCard.ts'
import { packNeeds } from '../../../parts/waterside/packNeeds.ts'
import type { PackNeed } from '../../../parts/waterside/packNeeds.ts'
import { ListedFly } from '../../../drawing/ListedFly.tsx'
import { useTrueSize } from '../../../drawing/trueSize.ts'
import { useFlyChoices } from '../../../parts/rigs/useRigFlies.ts'
import { Button } from '../../../ui/Button.tsx'
import { Caution, Dense, Quiet, Row, Section } from '../../../ui/layout.tsx'
import { FORBIDDEN } from '../../../words/outings.ts'
import { rulesSentence } from '../../../words/rules.ts'
import { labels, NEED_OF } from '../../../words/waterside.ts'
import { useWording } from '../../../words/useWording.ts'
import { useRigsQuery } from '../../../wire/answers.ts'
import { clockTime, techniquesInWords } from '../../../words/words.ts'

import { RigDrawn } from '../rigs/RigDrawn.tsx'

const MOST_ROWS = 6

const Strip = styled.div<{ $halves: number }>`
  display: grid;
  grid-template-columns: minmax(90px, 210px) repeat(${({ $halves }) => $halves}, minmax(14px, 1fr));
  gap: 2px;
  align-items: end;
  font-size: 0.875rem;
  > * {
    min-width: 0;
  }
`
const Side = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(330px, 100%), 1fr));
  gap: 20px;
  padding-top: 10px;
`
const Cell = styled.div<{ $share: number }>`
  height: 30px;
  background: linear-gradient(to top, var(--moss) ${({ $share }) => 100 * $share}%, var(--rule) 0);
`

/** Who is on through the day, half hour by half hour: those that most fish are on at some hour. */
function DayStrip({ along }: { readonly along: AlongView }) {
  const { stages, whatever, fromLocalMin } = along
  const rows = stages.slice(0, MOST_ROWS)
  // the tallest bar is the most fish that are on one thing
  const most = Math.max(...whatever, ...rows.flatMap(({ onIt }) => onIt))
  return (
    <>
      <Strip $halves={whatever.length} role="img" aria-label={labels.dayStrip}>
        <span />
        {whatever.map((_, half) => (
          <Quiet key={half} style={{ fontSize: '0.75rem' }}>
            {half % 2 === 0 ? Math.floor((fromLocalMin + 30 * half) / 60) : ''}
          </Quiet>
        ))}
        {rows.map(({ foodStageId, name, onIt }) => [
          <span key={foodStageId}>{name}</span>,
          ...onIt.map((share, half) => <Cell key={`${foodStageId} ${half}`} $share={share / most} />),
        ])}
        <Quiet>{labels.whatever}</Quiet>
        {whatever.map((share, half) => (
          <Cell key={half} $share={share / most} />
        ))}
      </Strip>
      <Quiet>
        {labels.tallest} {wording.fishOnIt(most)}.
      </Quiet>
    </>
  )
}

/** One thing that the box should hold: when, for how many fish, and what of it is packed. */
function NeedRow({ along, need }: { readonly along: AlongView; readonly need: PackNeed }) {
  const { units } = useWording()
  const pxPerMm = useTrueSize()
  const at = (half: number) => clockTime(along.fromLocalMin + 30 * half)
  const { put, stage, share, kind, lower, smaller, atHome } = need
  return (
    <tr>
      <td>{kind === 'food' ? `${at(need.fromHalf)}–${at(need.toHalf)}` : ''}</td>
      <td>
        {kind === 'food' ? stage?.name : NEED_OF[kind]}{' '}
        {share === null ? null : (
          <Quiet>
            {labels.upTo} {wording.fishOnIt(share)}
            {stageDepth(stage, units)}
          </Quiet>
        )}
      </td>
      <td>
        {put ? (
          <Row $gap={8}>
            <ListedFly drawingKey={put.fly.drawingKey} pxPerMm={pxPerMm} />
            <span>
              {put.fly.name}{' '}
              <Quiet>
                {put.fly.aboard} {labels.aboard}, {put.fly.place}
              </Quiet>
            </span>
          </Row>
        ) : (
          <Caution>
            {labels.gap} {atHome ? `${atHome.name}: ${labels.atHome} ${atHome.place}.` : ''}
          </Caution>
        )}
      </td>
      <td>{lower ? lower.name : null}</td>
      <td>{smaller ? smaller.name : null}</td>
    </tr>
  )
}

/** Rigs that are made for a way of the day: drawn to scale where the water's note allows them, else with what it forbids. */
function RigsForIt({ along }: { readonly along: AlongView }) {
  const { data } = useRigsQuery()
  const flies = useFlyChoices()
  if (!data || !flies) return null
  const allowed = along.rigs.filter(({ against }) => against.length === 0)
  const barred = along.rigs.filter(({ against }) => against.length > 0)
  return (
    <Section aria-label={labels.rigsForIt}>
      <h2>{labels.rigsForIt}</h2>
      {along.rigs.length === 0 ? <Quiet>{labels.noRigForIt}</Quiet> : null}
      <Side>
        {allowed.map(({ rigId, name, techniques }) => {
          const rig = data.rigs.find(({ id }) => id === rigId)
          return (
            <div key={rigId}>
              <Link to={`/outings?rig=${rigId}`}>{name}</Link> <Quiet>{techniquesInWords(techniques)}</Quiet>
              {rig ? <RigDrawn parts={rig.parts} flies={flies} isFixed onSlide={() => undefined} /> : null}
            </div>
          )
        })}
      </Side>
      {barred.map(({ rigId, name, against }) => (
        <Caution key={rigId}>
          {name}. {wording.rigForbidsSentence(along.outing.waterName, against)}
        </Caution>
      ))}
    </Section>
  )
}

/** Offers the pocket card for printing. */
async function savePocketPdf(card: PocketCard): Promise<void> {
  const { pocketPdf } = await import('./pocketPdf.ts')
  const { shippedFont } = await import('../../../files/shippedFont.ts')
  const bytes = await pocketPdf(card, await shippedFont())
  saveFile('pocket-card.pdf', new Blob([bytes as BlobPart], { type: 'application/pdf' }))
}

/** The evening before: rules, the day by half hours, and which packed fly is for which of it. */
export function Before({ along }: { readonly along: AlongView }) {
  const { units } = useWording()
  const navigate = useNavigate()
  const { outing } = along
  const packed = along.flies.filter(({ aboard }) => aboard > 0)
  const barred = packed.filter(({ forbidden }) => forbidden !== null)
  return (
    <>
      <Section aria-label={labels.rules}>
        <h2>{labels.rules}</h2>
        <p>{rulesSentence(outing.rules, units)}</p>
        {barred.map(({ variantId, name, forbidden }) => (
          <Caution key={variantId}>
            {name}. {forbidden ? FORBIDDEN[forbidden] : ''}
          </Caution>
        ))}
        <Quiet>{labels.wade}</Quiet>
      </Section>
      <Section aria-label={labels.theDay}>
        <Row>
          <h2>{labels.theDay}</h2>
          <Button
            look={packed.length === 0 ? 'main' : 'plain'}
            onPress={() => void navigate(`/outings?pack=${outing.id}&from=sheet`)}
          >
            {labels.packIt}
          </Button>
          <Button onPress={() => void savePocketPdf(pocketCard(along, units))}>{labels.pocketPdf}</Button>
          <Button
            look="quiet"
            onPress={() =>
              saveFile(
                `pocket-${outing.on}.md`,
                new Blob([pocketMarkdown(pocketCard(along, units))], { type: 'text/markdown' }),
              )
            }
          >
            {labels.pocketText}
          </Button>
          <a href={PATHS.alongPage.replace(':id', outing.id)} download>
            {labels.takeAlong}
          </a>
        </Row>
        <DayStrip along={along} />
      </Section>
      <Section aria-label={labels.fliesForIt}>
        <h2>{labels.fliesForIt}</h2>
        {packed.length === 0 ? <Caution>{labels.nothingPacked}</Caution> : null}
        <Dense aria-label={labels.fliesForIt}>
          <thead>
            <tr>
              <th>{labels.hours}</th>
              <th>{labels.whatFor}</th>
              <th>{labels.yourFly}</th>
              <th>{labels.lower}</th>
              <th>{labels.smaller}</th>
            </tr>
          </thead>
          <tbody>
            {packNeeds(along).map((need) => (
              <NeedRow key={need.stage?.foodStageId ?? need.kind} along={along} need={need} />
            ))}
          </tbody>
        </Dense>
      </Section>
      <RigsForIt along={along} />
    </>
  )
}
