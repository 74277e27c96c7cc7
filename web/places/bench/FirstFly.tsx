import { lazy, Suspense } from 'react'
import { LIST_CONDITIONS, wording } from '../../../core/index.ts'
import type { BenchView } from '../../../contract/index.ts'
import { useFrameQuery } from '../../wire/answers.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/bench.ts'

const DropTestForm = lazy(async () => ({
  default: (await import('../../parts/measure/DropTestForm.tsx')).DropTestForm,
}))
const WeighingForm = lazy(async () => ({
  default: (await import('../../parts/measure/WeighingForm.tsx')).WeighingForm,
}))

/** What a stand-in gets where there is no estimate. */
const USUAL = { mg: 50, mmPerS: 300 }

export type Check = 'time' | 'weigh'

interface FirstFlyProps {
  readonly vise: NonNullable<BenchView['onVise']>
  readonly open: Check | null
  readonly onOpen: (check: Check | null) => void
}

/** The first fly of a batch is checked there and then: on the scale, or timed as it falls. */
export function FirstFly({ vise, open, onOpen }: FirstFlyProps) {
  const { mass, speed, speedBand, wholeTemperature } = useWording()
  const { data: frame } = useFrameQuery()
  const moment = useMoment()
  const { batch, figure } = vise
  const fly = { id: batch.variantId as string, name: `${batch.patternName} ${batch.label}` }
  const withStandIns = frame?.isDemo ?? false
  const toggle = (check: Check) => onOpen(open === check ? null : check)
  const { sinkSpeedMmPerS: value, low, high } = figure
  return (
    <Section aria-label={labels.firstFly}>
      <h2>{labels.firstFly}</h2>
      <Row>
        <Button large onPress={() => toggle('weigh')} aria-expanded={open === 'weigh'}>
          {labels.weighIt}
        </Button>
        {figure.kind === 'sinks' ? (
          <Button large onPress={() => toggle('time')} aria-expanded={open === 'time'}>
            {labels.timeIt}
          </Button>
        ) : null}
        <span>
          {figure.massMg === null ? 'Its recipe is incomplete.' : `It should weigh ${mass(figure.massMg)}`}
          {value !== null && low !== null && high !== null ? (
            <>
              {' '}
              and fall {speed(value)},{' '}
              <Quiet>
                likely {speedBand({ low, high })}, at {wholeTemperature(LIST_CONDITIONS.waterTempC)}
              </Quiet>
            </>
          ) : figure.posture ? (
            ` and float ${wording.postureWord[figure.posture]}`
          ) : (
            ''
          )}
          .
        </span>
      </Row>
      {open ? (
        <Suspense fallback={<p aria-busy="true">Fetching the {open === 'time' ? 'stopwatch' : 'scale'} …</p>}>
          {open === 'weigh' ? (
            <WeighingForm
              flies={[fly]}
              first={{ subject: `variant:${fly.id}`, count: '1' }}
              massOf={() => figure.massMg ?? USUAL.mg}
              withStandIns={withStandIns}
            />
          ) : (
            <DropTestForm
              choices={[fly]}
              firstId={fly.id}
              waterTempC={moment?.waterTempC ?? 10}
              speedOf={() => value ?? USUAL.mmPerS}
              withStandIns={withStandIns}
            />
          )}
        </Suspense>
      ) : null}
    </Section>
  )
}
