import { useState } from 'react'
import { fromCore, intercept, leadTo, parseQuantity, wording } from '../../../core/index.ts'
import type { ParsedQuantity } from '../../../core/index.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import { TextField } from '../../ui/fields.tsx'
import { Dense, Quiet, Row, Section } from '../../ui/layout.tsx'
import { downwards } from './tankFlies.ts'
import type { InTank } from './tankFlies.ts'
import { labels } from '../../words/tank.ts'

/** Height of the stones of a usual bed, mm. */
const STONES_MM = 60
const FISH = { awayMm: 6000, depthMm: 1500, speedMmPerS: 300 }

const unclear = (parsed: ParsedQuantity) =>
  parsed.kind === 'unclear' ? wording.unclearSentence(parsed.code, parsed.suggestions) : undefined

interface MeetingProps {
  readonly flies: readonly InTank[]
  readonly depthMm: number
}

/** Where each fly must fall in: before a fish that cruises in still water, and above a spot on the bed of the reach. */
export function Meeting({ flies, depthMm }: MeetingProps) {
  const { units, depth } = useWording()
  const moment = useMoment()
  const metres = (mm: number) => fromCore(mm, units.depth).toFixed(1)
  const [texts, setTexts] = useState({
    away: metres(FISH.awayMm),
    depth: metres(Math.min(FISH.depthMm, depthMm)),
    speed: fromCore(FISH.speedMmPerS, units.speed).toFixed(0),
  })
  const away = parseQuantity(texts.away, 'length', units.depth, { min: 500, max: 40_000 })
  const deep = parseQuantity(texts.depth, 'length', units.depth, { min: 50, max: depthMm })
  const speed = parseQuantity(texts.speed, 'speed', units.speed, { min: 20, max: 2000 })
  const type = (field: keyof typeof texts) => (text: string) => setTexts({ ...texts, [field]: text })
  const fish =
    away.kind === 'quantity' && deep.kind === 'quantity' && speed.kind === 'quantity'
      ? { awayMm: away.value, depthMm: deep.value, speedMmPerS: speed.value }
      : null
  const reach = moment?.reach
  const bedMm = reach ? Math.min(reach.typicalDepthMm, depthMm) : 0
  const runs = reach !== undefined && reach.surfaceSpeedMmPerS > 0
  return (
    <Section aria-label={labels.whereItMustFall}>
      <h2>{labels.whereItMustFall}</h2>
      <Row $align="start">
        <TextField
          label={`A fish cruises, ${units.depth} off`}
          value={texts.away}
          onChange={type('away')}
          width="130px"
          fault={unclear(away)}
        />
        <TextField
          label={`at a depth of, ${units.depth}`}
          value={texts.depth}
          onChange={type('depth')}
          width="130px"
          fault={unclear(deep)}
        />
        <TextField
          label={`at, ${units.speed}`}
          value={texts.speed}
          onChange={type('speed')}
          width="100px"
          fault={unclear(speed)}
        />
      </Row>
      <Dense style={{ width: 'auto', marginTop: 8 }} aria-label={labels.whereEachFlyMust}>
        <thead>
          <tr>
            <th>{labels.fly}</th>
            <th>{labels.beforeTheFish}</th>
            {runs ? <th>above a spot on the bed at {reach.reachName}</th> : null}
          </tr>
        </thead>
        <tbody>
          {flies.map((fly) => {
            const { id, name } = fly
            const descent = downwards(fly)
            const met = descent && fish ? intercept(descent, fish) : null
            const drift =
              descent && runs
                ? leadTo(
                    descent,
                    { depthMm: bedMm, surfaceMmPerS: reach.surfaceSpeedMmPerS, roughnessMm: STONES_MM },
                    bedMm,
                  )
                : null
            return (
              <tr key={id}>
                <td>{name}</td>
                <td>
                  {!met
                    ? 'does not get down to it'
                    : met.spareS < 0
                      ? 'passes above: the fish is there first'
                      : `${depth(met.aheadMm)}, with ${wording.seconds(met.spareS)} to spare`}
                </td>
                {runs ? (
                  <td>
                    {!drift
                      ? 'does not get down'
                      : drift.settles
                        ? `cast above by ${depth(drift.leadMm)}, give or take ${depth(drift.spreadMm)}`
                        : `cast above by ${depth(drift.leadMm)}; the water may carry it up again`}
                  </td>
                ) : null}
              </tr>
            )
          })}
        </tbody>
      </Dense>
      {runs ? (
        <Quiet>
          {depth(bedMm)} of water at {wording.speed(reach.surfaceSpeedMmPerS, units)} on top, slower towards the
          bed; what wells up spreads where it lands.
        </Quiet>
      ) : null}
    </Section>
  )
}
