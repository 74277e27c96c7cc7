import { lazy, Suspense } from 'react'
import { dateOf, wording } from '../../../core/index.ts'
import type { ReachSeasonView, WatersView } from '../../../contract/index.ts'
import { useFrameQuery, useReachSeasonQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Dense, Heading, Quiet, Section } from '../../ui/layout.tsx'
import { TakeReadings } from './TakeReadings.tsx'
import { minuteOfDay } from '../../words/instants.ts'
import { labels } from '../../words/waters.ts'
import { dateName } from '../../words/words.ts'

const WarmthChart = lazy(() => import('./WarmthChart.tsx'))

type WaterLine = WatersView['waters'][number]

const SOURCES: Readonly<Record<ReachSeasonView['imports'][number]['source'], string>> = {
  entered: 'by hand',
  pasted: 'pasted',
  file: 'from a file',
  simulated: 'simulated',
  noted: 'at the water',
}

/** What the curve stands on, in words. */
function basisWords({ model }: ReachSeasonView['warmth']): string {
  switch (model.basis) {
    case 'readings':
      return `from ${wording.counted(model.readingDays, 'day', 'days')} of readings here`
    case 'borrowed':
      return 'borrowed from the other reaches of this river by their height: no reading here yet'
    case 'kind':
      return 'your kind of water only; no reading yet'
  }
}

/** A change of level less than this in a day is none, mm. */
const STEADY_MM = 15

/** `Level 0.45 m on 5 June, falling 0.12 m a day; seen to 1.4 m (simulated).` */
function levelWords(
  { day, levelMm, dayBeforeMm, clarityMm, source }: NonNullable<ReachSeasonView['level']>,
  depth: (mm: number) => string,
): string {
  const change = dayBeforeMm === null ? 0 : levelMm - dayBeforeMm
  const moves =
    dayBeforeMm === null || Math.abs(change) < STEADY_MM
      ? 'steady'
      : `${change > 0 ? 'rising' : 'falling'} ${depth(Math.abs(change))} a day`
  const seen = clarityMm === null ? '' : `; seen to ${depth(clarityMm)}`
  return `Level ${depth(levelMm)} on ${dateName(dateOf(day))}, ${moves}${seen}${source === 'simulated' ? ' (simulated)' : ''}.`
}

interface ReachSheetProps {
  readonly line: WaterLine['reaches'][number]
  readonly water: WaterLine['water']
  readonly onClose: () => void
}

/** A reach: how warm it is through the year and in the weeks to come, and where that is known from. */
export default function ReachSheet({ line, water, onClose }: ReachSheetProps) {
  const { data } = useReachSeasonQuery({ reachId: line.id })
  const { data: frame } = useFrameQuery()
  const { units, temperature, depth } = useWording()
  const command = useCommand()
  if (!data || !frame) return <p aria-busy="true">{labels.readingTheThermometer}</p>
  const { warmth, imports, level } = data
  const { latest } = warmth
  return (
    <>
      <Heading>
        <h1>{line.reach.name}</h1>
        <Button onPress={onClose}>{labels.allWaters}</Button>
      </Heading>
      <p>
        {water.name}, {wording.waterKindName[water.kind]}, {wording.height(line.reach.elevationM, units)} above
        the sea.{' '}
        {latest
          ? `Last read on ${dateName(dateOf(latest.day))}: mean of the day ${temperature(latest.meanC)}.`
          : 'Nobody has read the thermometer here.'}{' '}
        {wording.dailySwing(warmth.swing, units)}
        {level ? ` ${levelWords(level, depth)}` : ''}
      </p>
      <Section aria-label={labels.warmth}>
        <h2>
          Water through the year <Quiet>· {basisWords(warmth)}</Quiet>
        </h2>
        <Suspense fallback={<p aria-busy="true">{labels.drawingTheYear}</p>}>
          <WarmthChart season={data} today={frame.today} units={units} />
        </Suspense>
      </Section>
      <Section aria-label={labels.readings}>
        <h2>{labels.readings}</h2>
        <TakeReadings
          reachId={line.id}
          isDemo={frame.isDemo}
          today={frame.today}
          nowMin={minuteOfDay(frame.nowMs, frame.settings.timeZone)}
          warmth={warmth}
          level={level}
        />
        {imports.length > 0 ? (
          <Dense aria-label={labels.readingsTakenIn} style={{ width: 'auto', marginTop: 10 }}>
            <thead>
              <tr>
                <th className="number">{labels.readings2}</th>
                <th>{labels.how}</th>
                <th>{labels.from}</th>
                <th>{labels.to}</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {imports.map((taken) => (
                <tr key={taken.id}>
                  <td className="number">{taken.rowCount.toLocaleString('en')}</td>
                  <td>{SOURCES[taken.source]}</td>
                  <td>{dateName(dateOf(taken.firstDay))}</td>
                  <td>{dateName(dateOf(taken.lastDay))}</td>
                  <td>
                    <Button
                      look="quiet"
                      aria-label={`Put the readings from ${dateName(dateOf(taken.firstDay))} away`}
                      onPress={() =>
                        void command('readingsArchive', { importId: taken.id, version: taken.version })
                      }
                    >
                      {labels.putAway}
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </Dense>
        ) : null}
      </Section>
    </>
  )
}
