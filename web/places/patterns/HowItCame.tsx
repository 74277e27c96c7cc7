import { memo, useEffect, useRef, useState } from 'react'
import { LIST_CONDITIONS, USUAL_TIPPET, wording } from '../../../core/index.ts'
import type { SampledFall } from '../../../core/index.ts'
import { useMeasurementsQuery } from '../../wire/answers.ts'
import { setWork } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Dense, Quiet, Row, Section } from '../../ui/layout.tsx'
import { runJob } from '../../workers/gateway.ts'
import type { WorkedOut } from './useFlyReport.ts'
import { labels } from '../../words/patterns.ts'

const SAMPLES = 4000

function Sampled({ worked, waterTempC }: { readonly worked: WorkedOut; readonly waterTempC: number }) {
  const [result, setResult] = useState<SampledFall | null>(null)
  const [busy, setBusy] = useState(false)
  const stop = useRef<AbortController | null>(null)
  const dispatch = useAppDispatch()
  const { speed, speedBand } = useWording()
  useEffect(() => () => stop.current?.abort(), [])
  const start = async () => {
    const controller = new AbortController()
    stop.current = controller
    setBusy(true)
    const found = await runJob(
      'sampleFall',
      {
        fly: worked.fly,
        calibration: worked.calibration,
        conditions: { ...LIST_CONDITIONS, waterTempC, tippet: USUAL_TIPPET },
        samples: SAMPLES,
        seed: 1,
      },
      {
        key: 'sampleFall',
        signal: controller.signal,
        onProgress: ({ done }) => dispatch(setWork({ label: 'Sampling the band', done })),
      },
    )
    dispatch(setWork(null))
    setBusy(false)
    if (found.kind !== 'stopped' && found.kind !== 'failed') setResult(found)
  }
  const differs =
    result?.kind === 'sampled' &&
    Math.max(
      Math.abs(result.speed.low - result.analytic.low),
      Math.abs(result.speed.high - result.analytic.high),
    ) >
      0.15 * (result.analytic.high - result.analytic.low)
  return (
    <>
      <Row>
        <Button onPress={() => void start()} isDisabled={busy}>
          {labels.checkTheBandBy}
        </Button>
        {busy ? <Button onPress={() => stop.current?.abort()}>{labels.stop}</Button> : null}
      </Row>
      {result?.kind === 'sampled' ? (
        <p role="status">
          {result.samples} flies drawn from these spreads fall {speed(result.speed.value)}, likely{' '}
          {speedBand(result.speed)}; reckoned {speedBand(result.analytic)}.{' '}
          {differs ? 'The two differ by more than 15 % of the width: trust the sampled one.' : 'The two agree.'}
        </p>
      ) : null}
    </>
  )
}

/** Which drop tests moved the drag, the fly's own and those of its likes, and how much of each is taken over. */
function Measurements({ worked: { calibration } }: { readonly worked: WorkedOut }) {
  const { data } = useMeasurementsQuery()
  const counted = calibration.weights.flatMap(({ testId, weight }) => {
    const test = data?.tests.find(({ id }) => id === testId)
    return test ? [`${test.flyName}${test.wet === 'dry' ? ', dry' : ''} ${Math.round(weight * 100)} %`] : []
  })
  if (counted.length === 0) return null
  const moved = Math.round((calibration.dragMultiplier - 1) * 100)
  return (
    <p>
      Drop tests make its drag{' '}
      {moved === 0
        ? 'what was estimated'
        : `${Math.abs(moved)} % ${moved > 0 ? 'more' : 'less'} than estimated`}
      . Taken over of each: {counted.join('; ')}.
    </p>
  )
}

/** How a figure came about: components, what the doubt comes from, and the one measurement that would narrow it most. */
export const HowItCame = memo(function HowItCame({
  worked,
  waterTempC,
}: {
  readonly worked: WorkedOut
  readonly waterTempC: number
}) {
  const { mass, units } = useWording()
  const { report } = worked
  const fall = report.kind === 'sinks' ? (report.trailing ?? report.free) : null
  return (
    <Section aria-label={labels.howThisCameAbout}>
      <h2>{labels.howThisCameAbout}</h2>
      <Dense aria-label={labels.massByComponent} style={{ maxWidth: 560 }}>
        <thead>
          <tr>
            <th>{labels.component}</th>
            <th className="number">{labels.mass}</th>
            <th className="number">{labels.inWater}</th>
            <th className="number">{labels.volume}</th>
          </tr>
        </thead>
        <tbody>
          {report.parts.map((part) => (
            <tr key={part.key}>
              <td>{wording.componentName[part.kind]}</td>
              <td className="number">{wording.partMass(part.massMg, units)}</td>
              <td className="number">{wording.partMass(part.submergedMg, units)}</td>
              <td className="number">{part.volumeMm3.toFixed(1)} mm³</td>
            </tr>
          ))}
          <tr>
            <td>
              <strong>{labels.wholeFly}</strong>
            </td>
            <td className="number">{mass(report.massMg.value)}</td>
            <td className="number">{report.kind === 'sinks' ? mass(report.submergedMg.value) : '–'}</td>
            <td className="number">
              {report.parts.reduce((sum, { volumeMm3 }) => sum + volumeMm3, 0).toFixed(1)} mm³
            </td>
          </tr>
        </tbody>
      </Dense>
      {fall && fall.doubt.length > 0 ? (
        <>
          <p style={{ marginTop: 8 }}>
            Where the doubt of the fall comes from:{' '}
            {fall.doubt
              .filter(({ share }) => share > 0.01)
              .map(({ input, share }) => `${wording.doubtName[input]} ${Math.round(share * 100)} %`)
              .join(', ')}
            . 8 in 10 flies fall within the band.
          </p>
          <p>
            What would narrow it most? {wording.narrowingSentence(fall)}{' '}
            <Quiet>Drag grows with speed to the power {fall.exponent.toFixed(2)} here.</Quiet>
          </p>
          <Measurements worked={worked} />
          <Sampled worked={worked} waterTempC={waterTempC} />
        </>
      ) : null}
    </Section>
  )
})
