import { lazy, Suspense, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import {
  descend,
  depthAtTime,
  evaluateFly,
  parseQuantity,
  resolveDressing,
  timeToDepth,
  USUAL_TIPPET,
  wording,
} from '../../../core/index.ts'
import type { Descent, FlyReport } from '../../../core/index.ts'
import type { PatternsView } from '../../../contract/index.ts'
import { usePatternsQuery } from '../../app/api.ts'
import { useMoment } from '../../app/useMoment.ts'
import { useWording } from '../../app/useWording.ts'
import { Checkbox, Select, TextField } from '../../ui/fields.tsx'
import { Dense, Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { useMaterialBook } from '../patterns/useMaterialBook.ts'
import type { MaterialBook } from '../patterns/useMaterialBook.ts'

const FallChart = lazy(() => import('./FallChart.tsx'))

/** A variant in the tank. */
export interface InTank {
  readonly id: string
  readonly name: string
  readonly report: FlyReport
  readonly descent: Descent | null
  /** speeds over the median at the ends of the band */
  readonly spread: { readonly low: number; readonly high: number } | null
}

const DEPTHS_MM = [500, 1000, 1500, 2000, 3000]
const SECONDS = [1, 2, 3, 4, 5, 8, 10]
const DEEPEST_MM = 3000
const LEADER_MM = 3600

function inTank(
  id: string,
  patterns: PatternsView,
  book: MaterialBook,
  waterTempC: number,
  withLine: boolean,
): InTank | null {
  const pattern = patterns.patterns.find(({ variants }) => variants.some((variant) => variant.id === id))
  const variant = pattern?.variants.find((candidate) => candidate.id === id)
  if (!pattern || !variant) return null
  const fly = resolveDressing(pattern.dressing, variant, book.materials)
  if (fly.kind !== 'fly') return null
  const report = evaluateFly(fly, {
    waterTempC,
    tippet: withLine ? USUAL_TIPPET : null,
    wet: 'fresh',
    filmTreatment: 'none',
  })
  const name = `${pattern.name} ${variant.label}`
  if (report.kind !== 'sinks') return { id, name, report, descent: null, spread: null }
  const { value, low, high } = (report.trailing ?? report.free).sinkSpeedMmPerS
  return {
    id,
    name,
    report,
    descent: descend(report.model, DEEPEST_MM, withLine ? LEADER_MM : Infinity),
    spread: { low: low / value, high: high / value },
  }
}

/** Depth against time for one or two variants at a chosen temperature, as curves and as a table. */
export default function Tank() {
  const { data } = usePatternsQuery()
  const moment = useMoment()
  const book = useMaterialBook([])
  const [params, setParams] = useSearchParams()
  const { units, temperature, speed, speedBand, depth } = useWording()
  const [text, setText] = useState<string | null>(null)
  const [withLine, setWithLine] = useState(true)
  const shown = text ?? temperature(moment?.waterTempC ?? 10)
  const parsed = parseQuantity(shown, 'temperature', units.temperature, { min: 0, max: 30 })
  const waterTempC = parsed.kind === 'quantity' ? parsed.value : 10
  const choices = useMemo(
    () =>
      (data?.patterns ?? []).flatMap(({ name, variants }) =>
        variants.map(({ id, label }) => ({ id: id as string, name: `${name} ${label}` })),
      ),
    [data],
  )
  const first = params.get('a') ?? choices.find(({ name }) => name.includes('W'))?.id ?? choices[0]?.id ?? null
  const second = params.get('b')
  const flies = useMemo(
    () =>
      data && book
        ? [first, second].flatMap((id) => (id ? (inTank(id, data, book, waterTempC, withLine) ?? []) : []))
        : [],
    [data, book, first, second, waterTempC, withLine],
  )
  if (!data || !book) return <p aria-busy="true">Filling the tank …</p>
  const choose = (key: 'a' | 'b') => (id: string) =>
    setParams((before) => ({ ...Object.fromEntries(before), [key]: id }), { replace: true })
  return (
    <>
      <Heading>
        <h1>Tank</h1>
      </Heading>
      <Row $align="end">
        <Select label="First fly" value={first} choices={choices} onChange={choose('a')} width="240px" />
        <Select
          label="Second fly"
          value={second}
          choices={choices}
          onChange={choose('b')}
          width="240px"
          placeholder="none"
        />
        <TextField
          label={`Water, ${units.temperature}`}
          value={shown}
          onChange={setText}
          width="100px"
          fault={
            parsed.kind === 'unclear' ? wording.unclearSentence(parsed.code, parsed.suggestions) : undefined
          }
        />
        <Checkbox isSelected={withLine} onChange={setWithLine}>
          0.13 mm line trails as it falls
        </Checkbox>
      </Row>
      {flies.map(({ id, name, report }) => {
        const fall = report.kind === 'sinks' ? (report.trailing ?? report.free).sinkSpeedMmPerS : null
        return (
          <p key={id} style={{ paddingTop: 6 }}>
            <strong>{name}</strong>: {wording.reportSummary(report, units)}
            {report.kind === 'sinks' && fall && report.trailing ? (
              <>
                {' '}
                free, {speed(fall.value)} with half a metre of line{' '}
                <Quiet>
                  likely {speedBand(fall)}, {wording.provenance(fall.basis)}
                </Quiet>
              </>
            ) : null}
            {report.kind === 'floats' ? '. There is no fall to show.' : ''}
          </p>
        )
      })}
      <Suspense fallback={<p aria-busy="true">Drawing the curves …</p>}>
        <FallChart flies={flies} units={units} />
      </Suspense>
      <Section>
        <h2>The same as a table</h2>
        <Row $align="start" $gap={32}>
          <Dense style={{ width: 'auto' }} aria-label="Seconds to a depth">
            <thead>
              <tr>
                <th>down to</th>
                {flies.map(({ id, name }) => (
                  <th key={id} className="number">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {DEPTHS_MM.map((depthMm) => (
                <tr key={depthMm}>
                  <td className="number">{depth(depthMm)}</td>
                  {flies.map(({ id, descent }) => {
                    const timeS = descent ? timeToDepth(descent, depthMm) : null
                    return (
                      <td key={id} className="number">
                        {timeS === null ? '–' : wording.seconds(timeS)}
                      </td>
                    )
                  })}
                </tr>
              ))}
            </tbody>
          </Dense>
          <Dense style={{ width: 'auto' }} aria-label="Countdown by second">
            <thead>
              <tr>
                <th>count</th>
                {flies.map(({ id, name }) => (
                  <th key={id} className="number">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {SECONDS.map((timeS) => (
                <tr key={timeS}>
                  <td className="number">{timeS} s</td>
                  {flies.map(({ id, descent }) => {
                    const last = descent?.points.at(-1)
                    const over = !descent || !last || timeS > last.timeS
                    return (
                      <td key={id} className="number">
                        {over
                          ? last && last.depthMm > 0
                            ? `below ${depth(DEEPEST_MM)}`
                            : '–'
                          : depth(depthAtTime(descent, timeS))}
                      </td>
                    )
                  })}
                </tr>
              ))}
            </tbody>
          </Dense>
        </Row>
        <Quiet>
          With line the trailing length is the depth reached, so the fall slows as it goes. Estimates: nothing
          of these flies was timed yet.
        </Quiet>
      </Section>
    </>
  )
}
