import { useState } from 'react'
import { waterside, wording } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Caution, Quiet, Row, Section } from '../../ui/layout.tsx'
import { OneOf } from '../../ui/OneOf.tsx'
import { CRUISE, HEADING, labels, leadSentence } from '../../words/waterside.ts'
import { useMeans } from './means.ts'
import type { AtTheWater } from './useWaterside.ts'

const [LEADER, DEPTH] = [
  { from: 4000, step: 500, min: 1500, max: 9000 },
  { from: 500, step: 250, min: 0, max: 6000 },
] as const
const MARKS_APART_MM = 1000

/** A length by two taps. */
function Length({
  name,
  mm,
  of,
  onChange,
}: {
  readonly name: string
  readonly mm: number
  readonly of: { readonly step: number; readonly min: number; readonly max: number }
  readonly onChange: (mm: number) => void
}) {
  const { units } = useMeans()
  const move = (by: number) => onChange(Math.min(Math.max(mm + by, of.min), of.max))
  return (
    <Row $gap={4} role="group" aria-label={name}>
      <Button large aria-label={`${name}: less`} onPress={() => move(-of.step)}>
        −
      </Button>
      <span>
        {name} {wording.fineDepth(mm, units)}
      </span>
      <Button large aria-label={`${name}: more`} onPress={() => move(of.step)}>
        +
      </Button>
    </Row>
  )
}

/** A fish that swims its way: where to put the fly that is on, and when to move it. */
export function Cruise({ standing, water }: AtTheWater) {
  const { units } = useMeans()
  const [cruise, setCruise] = useState<waterside.Cruise>('usual')
  const [heading, setHeading] = useState<waterside.Heading>('across')
  const [depthMm, setDepthMm] = useState<number>(DEPTH.from)
  const [leaderMm, setLeaderMm] = useState<number>(LEADER.from)
  const [passedS, setPassedS] = useState<readonly number[]>([])
  const last = standing.fished.at(-1)
  const fly = last?.toMs === null ? water.flyOf(last.variantKey) : undefined
  const timed = waterside.speedByMarks(passedS, MARKS_APART_MM)
  const speedMmPerS = timed ?? waterside.CRUISES_MM_PER_S[cruise]
  const floats = fly?.figure.kind === 'floats'
  const fallMmPerS = (floats ? null : fly?.figure.sinkSpeedMmPerS) ?? null
  const isKnown = floats || (fallMmPerS ?? 0) > 0
  const lead = fly && isKnown ? waterside.leadOf({ speedMmPerS, depthMm: floats ? 0 : depthMm, heading, fallMmPerS, leaderMm }) : null // prettier-ignore
  return (
    <Section aria-label={labels.itCruises}>
      <h2>{labels.itCruises}</h2>
      {lead ? (
        <p role="status" style={{ fontSize: '1.125rem' }}>
          {leadSentence(fly?.name ?? '', lead, fallMmPerS === null ? null : depthMm / fallMmPerS, units)}
        </p>
      ) : (
        <p>
          {fly ? `${fly.name}. ` : ''}
          {fly ? labels.fallUnknown : labels.nothingIsOn}
        </p>
      )}
      {lead?.linesIt ? <Caution>{labels.linesIt}</Caution> : null}
      <OneOf
        label={labels.itSwims}
        choices={waterside.HEADINGS.map((id) => ({ id, name: HEADING[id] }))}
        chosen={heading}
        onChoose={setHeading}
      />
      <Row style={{ padding: '6px 0' }}>
        <OneOf
          label={labels.howFast}
          choices={(['slow', 'usual', 'fast'] as const).map((id) => ({ id, name: CRUISE[id] }))}
          chosen={timed === null ? cruise : null}
          onChoose={(id) => {
            setPassedS([])
            if (id) setCruise(id)
          }}
        />
        <Button
          large
          onPress={() => setPassedS((before) => [...(before.length >= 3 ? [] : before), Date.now() / 1000])}
        >
          {labels.passedAMark}
        </Button>
        <Quiet>
          {timed === null ? `${passedS.length} ${labels.ofThreeMarks}` : wording.speed(timed, units)}
        </Quiet>
      </Row>
      <Row>
        {floats ? null : <Length name={labels.itsDepth} mm={depthMm} of={DEPTH} onChange={setDepthMm} />}
        <Length name={labels.leader} mm={leaderMm} of={LEADER} onChange={setLeaderMm} />
      </Row>
    </Section>
  )
}
