import { describe, expect, it } from 'vitest'
import { billOfMaterials } from '../bench/index.ts'
import { evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import type { Conditions } from '../evaluate/index.ts'
import { COMPONENT_KINDS } from '../dressing/index.ts'
import type { Fly } from '../dressing/index.ts'
import { looksOf } from '../lookalike/index.ts'
import { appearanceOf } from '../match/index.ts'
import type { Appearance } from '../match/index.ts'
import { CORE_VERSION } from '../version.ts'
import { goldenFlies } from './goldenFlies.ts'

const figure = (value: number | null | undefined) =>
  value === null || value === undefined ? '-' : value.toPrecision(6)

const UNDER: Readonly<Record<string, Conditions>> = {
  fresh: { ...LIST_CONDITIONS, tippet: USUAL_TIPPET },
  soaked: { ...LIST_CONDITIONS, wet: 'soaked', waterTempC: 4 },
  floatant: { ...LIST_CONDITIONS, wet: 'dry', filmTreatment: 'floatant' },
}

function fallLine(fly: Fly, name: string, conditions: Conditions): string {
  const report = evaluateFly(fly, conditions)
  const found = report.findings.map(({ code }) => code).join(' ')
  const fall =
    report.kind === 'sinks'
      ? [
          report.submergedMg.value, report.free.sinkSpeedMmPerS.value, report.free.sinkSpeedMmPerS.high,
          report.trailing?.sinkSpeedMmPerS.value, report.attitude.noseDownDeg, report.hung.noseDownDeg,
        ] // prettier-ignore
      : report.kind === 'floats'
        ? [report.ride.freeHeightMm, report.ride.spareMg, report.ride.reserve, report.ride.drowningsUntilSunk]
        : []
  const posture = report.kind === 'floats' ? ` ${report.ride.posture}` : ''
  return `  ${name}: ${report.kind}${posture} ${fall.map(figure).join(' ')}${found && ` (${found})`}`
}

const outlineLine = ({ slenderness, wholeSlenderness, bulkAt, wing, tail, curved }: Appearance['outline']) =>
  `${figure(slenderness)} ${figure(wholeSlenderness)} ${figure(bulkAt)} ${wing} ${tail}${curved ? ' curved' : ''}`

function linesOf(name: string, fly: Fly): readonly string[] {
  const looks = appearanceOf(fly)
  const bill = billOfMaterials(fly).map(({ materialId, perFly }) => `${materialId} ${perFly}`)
  return [
    name,
    `  mass ${figure(evaluateFly(fly, LIST_CONDITIONS).massMg.value)}, takes ${bill.join(', ')}`,
    ...Object.entries(UNDER).map(([state, conditions]) => fallLine(fly, state, conditions)),
    `  seen ${figure(looks.bodyLengthMm)} ${figure(looks.wholeLengthMm)} ${outlineLine(looks.outline)}, soft ${figure(looks.soft)}, bright ${figure(looks.bright)}`,
    `  in ${looks.palette.map(({ hexWet, share }) => `${hexWet} ${figure(share)}`).join(' ')}`,
    `  shows ${Object.entries(looks.shows)
      .map(([key, degree]) => `${key} ${figure(degree)}`)
      .join(' ')}`,
    `  told by ${looksOf(fly)}`,
  ]
}

describe('golden figures', () => {
  const flies = goldenFlies()

  it('are of at least 60 flies, over every kind of component', () => {
    expect(flies.size).toBeGreaterThanOrEqual(60)
    const kinds = new Set([...flies.values()].flatMap(({ components }) => components.map(({ kind }) => kind)))
    expect([...kinds].sort()).toEqual([...COMPONENT_KINDS].sort())
  })

  it('move only with a new CORE_VERSION', async () => {
    const text = [...flies].flatMap(([name, fly]) => linesOf(name, fly)).join('\n')
    await expect(`${text}\n`).toMatchFileSnapshot(`golden/figures-${CORE_VERSION}.txt`)
  })
})
