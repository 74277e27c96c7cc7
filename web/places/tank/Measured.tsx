import type { DropTestLine, WeighingLine } from '../../../contract/index.ts'
import { reckonedPiece, wording } from '../../../core/index.ts'
import { useFrameQuery, useMeasurementsQuery, usePatternsQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import type { Choice } from '../../ui/Select.tsx'
import { Caution, Dense, Quiet, Section } from '../../ui/layout.tsx'
import { useMaterialBook } from '../../recipe/useMaterialBook.ts'
import { DropTestForm } from '../../parts/measure/DropTestForm.tsx'
import { WeighingForm } from '../../parts/measure/WeighingForm.tsx'
import { labels } from '../../words/tank.ts'

/** What a stand-in gets where there is no estimate. */
const USUAL_FLY_MG = 50
const USUAL_FALL_MM_PER_S = 300

const FAULTS: Readonly<Record<NonNullable<DropTestLine['fault']>, string>> = {
  floats: 'It floats as it was then: nothing to compare with a fall.',
  hovers: 'It hovers as it was then: too near the weight of water to foretell a fall.',
  doesNotFit: 'Its parts do not fit the hook.',
  noTimes: 'No time is left that counts.',
  tooFast: 'Nothing on a hook falls so fast. Was the depth in another unit?',
  incomplete: 'Its recipe lacks something.',
}

const ADVICE: Readonly<Record<NonNullable<DropTestLine['reading']>['advice'], string | null>> = {
  none: null,
  dropFarther: 'Too short: a late thumb is most of it. Drop it a metre and a half, or film it.',
  filmIt: 'The thumb scatters. Count the frames of a film.',
  repeat: 'Time it three times.',
}

/** What a test was foretold, what was seen, and what follows. */
function TestRow({ test }: { readonly test: DropTestLine }) {
  const { speed, speedBand, depth, smallSpan } = useWording()
  const command = useCommand()
  const { reading, foretold, held } = test
  const advice = reading ? ADVICE[reading.advice] : null
  return (
    <tr>
      <td>
        {test.flyName}
        {test.olderRecipe ? <Quiet>{labels.olderRecipe}</Quiet> : null}
        <br />
        <Quiet>
          {test.wet === 'dry' ? 'dry' : test.wet === 'fresh' ? 'dipped' : 'soaked'}, {depth(test.depthMm)}
          {test.vesselMm ? `, tube ${smallSpan(test.vesselMm, test.vesselMm)}` : ''}
          {test.tippetDiameterMm
            ? `, ${depth(test.tippetLengthMm ?? 0)} of ${test.tippetDiameterMm.toFixed(2)} mm line${test.tippetCurlDeg > 0 ? '' : ', straight'}`
            : ''}
          , {test.timing}
        </Quiet>
      </td>
      <td className="number">
        {test.times.map(({ timeS, setAside }, i) => (
          <span
            key={i}
            style={{
              marginLeft: 6,
              textDecoration: setAside || reading?.outliers.includes(i) ? 'line-through' : undefined,
            }}
          >
            {timeS.toFixed(2)}
          </span>
        ))}
      </td>
      <td className="number">{foretold ? speedBand(foretold) : '–'}</td>
      <td className="number">{reading ? speed(reading.seenMmPerS) : '–'}</td>
      <td className="number">{reading ? reading.ratio.toFixed(2) : '–'}</td>
      <td>
        {held === null ? '' : held ? 'held' : 'did not hold'}
        {test.fault ? <Caution>{FAULTS[test.fault]}</Caution> : null}
        {advice ? <Caution>{advice}</Caution> : null}
        {test.note ? <Quiet style={{ display: 'block' }}>{test.note}</Quiet> : null}
      </td>
      <td>
        <Button
          look="quiet"
          aria-label={`Put the test of ${test.flyName} away`}
          onPress={() =>
            void command('measurementArchive', { kind: 'dropTest', id: test.id, version: test.version })
          }
        >
          {labels.putAway}
        </Button>
      </td>
    </tr>
  )
}

function WeighingRow({ weighing }: { readonly weighing: WeighingLine }) {
  const { mass } = useWording()
  const command = useCommand()
  return (
    <tr>
      <td>{weighing.name}</td>
      <td className="number">
        {weighing.count} in {mass(weighing.totalMg)}
        {weighing.source === 'simulated' ? <Quiet>{labels.simulated}</Quiet> : null}
      </td>
      <td className="number">{mass(weighing.totalMg / weighing.count)}</td>
      <td className="number">{weighing.ratio === null ? '–' : weighing.ratio.toFixed(2)}</td>
      <td>
        {weighing.metal ? <Caution>This is {weighing.metal}, whatever the jar says.</Caution> : null}
        {weighing.contradicts.length > 0 ? <Caution>{labels.itContradictsAnotherWeighing}</Caution> : null}
      </td>
      <td>
        <Button
          look="quiet"
          aria-label={`Put the weighing of ${weighing.name} away`}
          onPress={() =>
            void command('measurementArchive', { kind: 'weighing', id: weighing.id, version: weighing.version })
          }
        >
          {labels.putAway}
        </Button>
      </td>
    </tr>
  )
}

interface MeasuredProps {
  readonly choices: readonly Choice[]
  readonly firstId: string | null
  readonly waterTempC: number
}

/** Predicted against measured: all drop tests and weighings, how many bands held, and where to enter more. */
export default function Measured({ choices, firstId, waterTempC }: MeasuredProps) {
  const { data } = useMeasurementsQuery()
  const { data: patterns } = usePatternsQuery()
  // a simulated figure among the user's own would teach the estimates something untrue
  const withStandIns = useFrameQuery().data?.isDemo ?? false
  const book = useMaterialBook()
  const figureOf = (id: string) =>
    patterns?.patterns.flatMap(({ variants }) => variants).find((variant) => variant.id === id)?.figure
  const massOf = (subject: string) => {
    const [kind, id = ''] = subject.split(':')
    if (kind === 'variant') return figureOf(id)?.massMg ?? USUAL_FLY_MG
    const material = book?.materials.get(id)
    return (material && reckonedPiece(material)?.mg) ?? USUAL_FLY_MG
  }
  const speedOf = (id: string) => figureOf(id)?.sinkSpeedMmPerS ?? USUAL_FALL_MM_PER_S
  const coverage = data?.coverage
  return (
    <>
      <Section aria-label={labels.dropTests}>
        <h2>{labels.dropTests}</h2>
        <DropTestForm
          choices={choices}
          firstId={firstId}
          waterTempC={waterTempC}
          speedOf={speedOf}
          withStandIns={withStandIns}
        />
        {coverage && coverage.tests > 0 ? (
          <p style={{ padding: '8px 0' }}>
            Of {wording.countInWords(coverage.tests)} bands of 8 in 10,{' '}
            <strong>{wording.countInWords(coverage.held)} held</strong>. Each is what was foretold before its
            test was known.
          </p>
        ) : null}
        {data && data.tests.length > 0 ? (
          <Dense aria-label={labels.dropTestsPredictedAgainst}>
            <thead>
              <tr>
                <th>{labels.fly}</th>
                <th className="number">{labels.timesS}</th>
                <th className="number">{labels.foretold}</th>
                <th className="number">{labels.seen}</th>
                <th className="number">{labels.seenEst}</th>
                <th>{labels.band}</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {data.tests.map((test) => (
                <TestRow key={test.id} test={test} />
              ))}
            </tbody>
          </Dense>
        ) : (
          <Quiet>{labels.nothingWasTimedYet}</Quiet>
        )}
      </Section>
      <Section aria-label={labels.weighings}>
        <h2>{labels.weighings}</h2>
        <WeighingForm flies={choices} massOf={massOf} withStandIns={withStandIns} />
        {data && data.weighings.length > 0 ? (
          <Dense aria-label={labels.weighingsAgainstTheCatalogue} style={{ marginTop: 8 }}>
            <thead>
              <tr>
                <th>{labels.what}</th>
                <th className="number">{labels.weighed}</th>
                <th className="number">{labels.each}</th>
                <th className="number">{labels.catalogue}</th>
                <th>{labels.whatItSays}</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {data.weighings.map((weighing) => (
                <WeighingRow key={weighing.id} weighing={weighing} />
              ))}
            </tbody>
          </Dense>
        ) : null}
      </Section>
    </>
  )
}
