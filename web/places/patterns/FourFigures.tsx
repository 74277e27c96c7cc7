import { useDeferredValue } from 'react'
import type { ReactNode } from 'react'
import styled from 'styled-components'
import { LIST_CONDITIONS, USUAL_TIPPET, wording } from '../../../core/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Caution, Fault, Quiet, Row } from '../../ui/layout.tsx'
import { useNarrow } from '../../ui/useNarrow.ts'
import { Drawn } from './Drawn.tsx'
import type { useRungs } from './useRungs.ts'
import type { useTrimLine } from './useTrimLine.ts'
import type { WorkedOut } from './useFlyReport.ts'
import { labels } from '../../words/patterns.ts'

const Pinned = styled.div`
  position: sticky;
  top: -14px;
  z-index: 2;
  display: grid;
  grid-template-columns: minmax(200px, 340px) minmax(0, 1fr);
  gap: 6px 18px;
  margin: 0 -22px;
  padding: 8px 22px 10px;
  background: var(--ground);
  border-bottom: 1px solid var(--quiet);
  dl {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 4px 18px;
    align-content: start;
  }
  dt {
    font-size: 0.8125rem;
    color: var(--quiet);
  }
  dd {
    font-size: 1.0625rem;
    line-height: 1.25;
  }
  dd small {
    font-size: 0.8125rem;
    color: var(--quiet);
  }
  .drawing {
    position: relative;
    min-height: 96px;
  }
  .wet {
    min-height: 32px;
    padding: 0 10px;
    border: 1px solid var(--quiet);
    border-radius: 6px;
    background: var(--panel);
    color: var(--ink);
    font: inherit;
    font-size: 0.8125rem;
  }
  .wet[data-focus-visible] {
    outline: 2px solid var(--thistle);
  }
  .scale {
    display: block;
    margin-top: 2px;
  }
  .findings {
    grid-column: 1 / -1;
  }
  /* in a narrow window only the figures stay in view, in one line that goes sideways */
  @media (max-width: 700px) {
    display: contents;
    dl {
      position: sticky;
      top: -12px;
      z-index: 2;
      display: flex;
      gap: 16px;
      margin: 0 -12px;
      padding: 6px 12px;
      overflow-x: auto;
      background: var(--ground);
      border-bottom: 1px solid var(--quiet);
    }
    dl > div {
      flex: none;
    }
    dt,
    dd {
      white-space: nowrap;
    }
    dd br {
      display: none;
    }
  }
`

const NOT_FOUND = '–'

/** How it rides or falls, and what a tier would ask next about that. */
function Posture({ worked: { report } }: { readonly worked: WorkedOut }) {
  const { mass, small: smallLength, speed, units } = useWording()
  switch (report.kind) {
    case 'sinks': {
      const { hung } = report
      return (
        <>
          sinks {wording.attitudeWords(report.attitude)}{' '}
          <small>
            hangs {wording.hangWords(hung)}; {wording.splashWord[report.splash.word]}
          </small>
          {hung.pin ? (
            <small style={{ display: 'block' }}>
              {hung.pin.levelAtMm === null
                ? 'no pin hangs it level'
                : `level with the bead ${smallLength(hung.pin.levelAtMm)} before the eye`}
              , {hung.pin.degreesPerFifthMm.toFixed(1)}° for each {smallLength(0.2)}
              {hung.pin.clearsEye
                ? ''
                : hung.pin.levelAtMm === null
                  ? '; the bead does not clear the eye'
                  : '; there the bead does not clear the eye'}
            </small>
          ) : null}
        </>
      )
    }
    case 'floats': {
      const { ride } = report
      return (
        <>
          {wording.postureWord[ride.posture]}{' '}
          <small>
            {ride.freeHeightMm > 0 ? `${smallLength(ride.freeHeightMm)} clear; ` : ''}bears{' '}
            {wording.bearsWord[ride.bears]} and {mass(ride.spareMg)} more; sinks after{' '}
            {wording.drownings(ride.drowningsUntilSunk)}
            {report.rise ? `; drawn under it rises ${speed(report.rise.free.sinkSpeedMmPerS.value)}` : ''}
            {report.rise?.trailing ? `, ${speed(report.rise.trailing.sinkSpeedMmPerS.value)} with line` : ''}
          </small>
        </>
      )
    }
    case 'hovers':
      return <>{wording.hoversWords(report, units)}</>
    case 'doesNotFit':
      return <>{labels.doesNotFit}</>
  }
}

/** What is only thought of, said against what is: to be made, or let go. */
function ThoughtOf({
  name,
  onMake,
  onLetGo,
  children,
}: {
  readonly name: string
  readonly onMake: () => void
  readonly onLetGo: () => void
  readonly children: ReactNode
}) {
  return (
    <Row className="findings" role="status" aria-label={name}>
      <span>{children}</span>
      <Button look="main" onPress={onMake}>
        {labels.makeIt}
      </Button>
      <Button onPress={onLetGo}>{labels.letGo}</Button>
    </Row>
  )
}

/** How fast it falls, and when it is down: of what does not float. */
function Falls({ worked, tempText }: { readonly worked: WorkedOut; readonly tempText: string }) {
  const { speed, speedBand, depth, wholeTemperature } = useWording()
  const { report, times, listed: standard } = worked
  const sinks = report.kind === 'sinks' ? report : null
  const fall = sinks?.free.sinkSpeedMmPerS
  const trailing = sinks?.trailing?.sinkSpeedMmPerS
  return (
    <>
      <div>
        <dt>falls, free at {wholeTemperature(LIST_CONDITIONS.waterTempC)}</dt>
        <dd>
          <span className="figures" data-testid="fall">
            {standard.kind === 'sinks' ? speed(standard.sinkSpeedMmPerS ?? 0) : NOT_FOUND}
          </span>{' '}
          {standard.kind === 'sinks' ? (
            <small style={{ whiteSpace: 'nowrap' }}>
              likely {speedBand({ low: standard.low ?? 0, high: standard.high ?? 0 })}
              {fall ? `, ${wording.provenance(fall.basis)}` : ''}
            </small>
          ) : null}
          {fall ? (
            <>
              {' '}
              <br />
              <small>
                at {tempText} {speed(fall.value)}
                {trailing ? (
                  <>
                    ; with its line {speed(trailing.value)},{' '}
                    <span style={{ whiteSpace: 'nowrap' }}>likely {speedBand(trailing)}</span>
                  </>
                ) : null}
              </small>
            </>
          ) : null}
        </dd>
      </div>
      <div>
        <dt>
          {labels.downAt} {tempText}, {depth(USUAL_TIPPET.lengthMm)} of {USUAL_TIPPET.diameterMm} mm{' '}
          {labels.lineTrailing}
        </dt>
        <dd>
          {sinks
            ? times.map(({ depthMm, timeS }) => (
                <span key={depthMm} style={{ display: 'inline-block', marginRight: 10, whiteSpace: 'nowrap' }}>
                  <small>{depth(depthMm)}</small>{' '}
                  <span className="figures">{timeS === null ? NOT_FOUND : wording.seconds(timeS)}</span>
                </span>
              ))
            : NOT_FOUND}
        </dd>
      </div>
    </>
  )
}

/** Drawing and the four figures, pinned above the lines: weight in water, fall, time to depth, posture. */
export function FourFigures({
  worked,
  highlight,
  tempText,
  caution,
  rungs,
  cut,
}: {
  readonly worked: WorkedOut
  readonly highlight: string | null
  readonly tempText: string
  /** what the place says of it; null where it says nothing */
  readonly caution: string | null
  readonly rungs: ReturnType<typeof useRungs>
  readonly cut: ReturnType<typeof useTrimLine>['thought']
}) {
  const { fall: fallWords, mass, units } = useWording()
  const { report } = worked
  // the figures are there with the key, the drawing a moment later
  const drawn = useDeferredValue(worked)
  // in one line it goes sideways, by the arrow keys too
  const sideways = useNarrow()
  const sinks = report.kind === 'sinks' ? report : null
  // what floats has neither fall nor time to a depth: its weight and how it rides are all there is
  const floats = report.kind === 'floats'
  return (
    <Pinned data-testid="figures">
      <Drawn worked={drawn} highlight={highlight} />
      <dl {...(sideways ? { tabIndex: 0 } : {})}>
        <div>
          <dt>{floats ? labels.weighs : labels.inWater}</dt>
          <dd>
            <span className="figures">
              {sinks ? mass(sinks.submergedMg.value) : floats ? mass(report.massMg.value) : NOT_FOUND}
            </span>{' '}
            <small>
              {floats ? '' : `of ${mass(report.massMg.value)}, `}
              {wording.provenance(report.massMg.basis)}
            </small>
          </dd>
        </div>
        {floats ? null : <Falls worked={worked} tempText={tempText} />}
        <div>
          <dt>{labels.posture}</dt>
          <dd>
            <Posture worked={worked} />
          </dd>
        </div>
      </dl>
      {rungs.words ? (
        <ThoughtOf name={labels.anotherRung} onMake={rungs.make} onLetGo={rungs.letGo}>
          {rungs.words.beads}: {fallWords(rungs.words.to)} where it {fallWords(rungs.words.from)},{' '}
          {rungs.words.splash}
        </ThoughtOf>
      ) : null}
      {cut ? (
        <ThoughtOf name={labels.aCut} onMake={cut.make} onLetGo={cut.letGo}>
          {cut.words}
        </ThoughtOf>
      ) : null}
      <div className="findings" role="status">
        {report.findings.map((finding) =>
          finding.severity === 'fault' ? (
            <Fault key={finding.code}>{wording.fitSentence(finding, units)}</Fault>
          ) : (
            <Caution key={finding.code}>{wording.fitSentence(finding, units)}</Caution>
          ),
        )}
        {caution ? <Caution>{caution}</Caution> : null}
        {report.kind === 'floats' && report.rise ? <Quiet>{labels.lighterThanWater}</Quiet> : null}
      </div>
    </Pinned>
  )
}
