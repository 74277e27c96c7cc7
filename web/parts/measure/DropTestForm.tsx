import { useCallback, useState } from 'react'
import { fromCore, mean, parseDecimal, TIMINGS, toCore, wording } from '../../../core/index.ts'
import type { Timing } from '../../../core/index.ts'
import type { CommandInput } from '../../../contract/index.ts'
import { newId } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Select, TextField } from '../../ui/fields.tsx'
import type { Choice } from '../../ui/fields.tsx'
import { Fault, Quiet, Row } from '../../ui/layout.tsx'
import { useInstrument } from './useInstrument.ts'
import { useKeeping } from './useKeeping.ts'
import { useStopwatch } from './useStopwatch.ts'

const TIMING_NAMES: Readonly<Record<Timing, string>> = {
  thumb: 'thumb on a stopwatch',
  film: 'frames of a film',
  gates: 'two light gates',
}
const STATES = [
  { id: 'soaked', name: 'soaked and squeezed' },
  { id: 'fresh', name: 'dipped and cast' },
  { id: 'dry', name: 'dry, from the vise' },
]
const LINES = [
  { id: 'none', name: 'none' },
  ...['0.10', '0.13', '0.15', '0.18'].map((id) => ({ id, name: `half a metre of ${id} mm` })),
]
const COPOLYMER = 1.13
const USUAL_DEPTH_MM = 1200

interface DropTestFormProps {
  readonly choices: readonly Choice[]
  readonly firstId: string | null
  readonly waterTempC: number
  /** estimate of a fly's fall, for the simulated gates, mm/s */
  readonly speedOf: (variantId: string) => number
  /** whether simulated instruments are offered: among made-up data only */
  readonly withStandIns: boolean
}

/** Times as written, one after another; what is no time is named. */
function readTimes(text: string): { readonly times: readonly number[]; readonly unclear: string | null } {
  const words = text.split(/[\s;]+/).filter(Boolean)
  const times = words.map((word) => {
    const parsed = parseDecimal(word.replace(/s$/, ''))
    return parsed.kind === 'number' ? parsed.value : NaN
  })
  const wrong = words.find((_, i) => !Number.isFinite(times[i]))
  return { times: times.filter(Number.isFinite), unclear: wrong ?? null }
}

/** A figure of a field, or what is wrong with it. */
function readFigure(text: string, least: number, most: number): number | string {
  const parsed = parseDecimal(text)
  if (parsed.kind !== 'number') return 'Write a figure.'
  if (parsed.value < least) return `At least ${least}.`
  return parsed.value > most ? `At most ${most}.` : parsed.value
}

/** Enters a drop test: a fly that is really dropped, timed with the space bar or written down. */
export function DropTestForm({ choices, firstId, waterTempC, speedOf, withStandIns }: DropTestFormProps) {
  const { units, depth, speed, temperature } = useWording()
  const [chosenId, setChosenId] = useState<string | null>(null)
  const variantId = chosenId ?? firstId
  const [depthText, setDepthText] = useState(() => String(fromCore(USUAL_DEPTH_MM, units.depth).toFixed(1)))
  const [vesselText, setVesselText] = useState('')
  const [timing, setTiming] = useState<Timing>('thumb')
  const [wet, setWet] = useState('soaked')
  const [line, setLine] = useState('none')
  const [text, setText] = useState('')
  const [armed, setArmed] = useState(false)
  const [simulated, setSimulated] = useState(false)
  const { keep, fault } = useKeeping(() => {
    setText('')
    setSimulated(false)
  })
  const add = useCallback((timeS: number) => setText((before) => `${before} ${timeS.toFixed(2)}`.trim()), [])
  const watch = useStopwatch(armed, add)
  const gates = useInstrument('timer', (timeS) => {
    setTiming('gates')
    setSimulated(true)
    add(timeS)
  })
  const deep = readFigure(depthText, 0.05, 30)
  const vessel = vesselText.trim() === '' ? null : readFigure(vesselText, 1, 500)
  const { times, unclear } = readTimes(text)
  const depthMm = typeof deep === 'number' ? toCore(deep, units.depth) : null
  const meanS = mean(times)
  const vesselMm = typeof vessel === 'number' ? vessel * (units.smallLength === 'in' ? 25.4 : 10) : null
  const ready = variantId && depthMm !== null && times.length > 0 && !unclear && typeof vessel !== 'string'
  const save = async () => {
    if (!ready) return
    await keep('dropTestSave', {
      testId: newId(),
      version: null,
      test: {
        variantId: variantId as CommandInput<'dropTestSave'>['test']['variantId'],
        depthMm,
        timing,
        waterTempC,
        vesselMm,
        tippet:
          line === 'none' ? null : { diameterMm: Number(line), densityMgPerMm3: COPOLYMER, lengthMm: 500 },
        wet: wet as 'soaked',
        times: times.map((timeS) => ({ timeS, setAside: false })),
        note: simulated ? 'Simulated gates.' : '',
      },
    })
  }
  return (
    <form
      aria-label="A drop test"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <Row $align="start">
        <Select
          label="Fly that is dropped"
          value={variantId}
          choices={choices}
          onChange={setChosenId}
          width="220px"
        />
        <TextField
          label={`Depth, ${units.depth}`}
          value={depthText}
          onChange={setDepthText}
          width="84px"
          fault={typeof deep === 'string' ? deep : undefined}
        />
        <TextField
          label={`Width of the tube, ${units.smallLength === 'in' ? 'in' : 'cm'}`}
          value={vesselText}
          onChange={setVesselText}
          placeholder="open water"
          width="150px"
          fault={typeof vessel === 'string' ? vessel : undefined}
        />
        <Select
          label="Timed by"
          value={timing}
          choices={TIMINGS.map((id) => ({ id, name: TIMING_NAMES[id] }))}
          onChange={(id) => setTiming(id as Timing)}
          width="180px"
        />
        <Select label="It was" value={wet} choices={STATES} onChange={setWet} width="170px" />
        <Select label="With line" value={line} choices={LINES} onChange={setLine} width="180px" />
      </Row>
      <Row $align="end" style={{ paddingTop: 6 }}>
        <TextField
          label="Times, s"
          value={text}
          onChange={setText}
          width="260px"
          placeholder="3.1 3.2 3.1"
          fault={unclear ? `“${unclear}” is no time.` : undefined}
        />
        <Button onPress={() => setArmed(!armed)}>
          {armed ? 'Put the stopwatch away' : 'Time it with the space bar'}
        </Button>
        {withStandIns ? (
          <Button
            onPress={() => depthMm !== null && void gates.read(depthMm / Math.max(speedOf(variantId ?? ''), 1))}
            isDisabled={depthMm === null || !variantId || gates.busy}
          >
            Drop it through simulated gates
          </Button>
        ) : null}
        {armed ? (
          <Button look="main" onPress={watch.press}>
            {watch.running ? 'Stop' : 'Start'}
          </Button>
        ) : null}
        <Button type="submit" look={armed ? 'plain' : 'main'} isDisabled={!ready}>
          Keep the test
        </Button>
      </Row>
      <p role="status">
        <Quiet>In water of {temperature(waterTempC)}, as the tank above. </Quiet>
        {armed ? (
          <Quiet>
            {watch.running
              ? 'Falling. Space as it passes the mark. '
              : 'Space as the fly goes under, space again at the mark. '}
          </Quiet>
        ) : null}
        {depthMm !== null && times.length > 0 ? (
          <Quiet>
            {depth(depthMm)} in {wording.seconds(meanS)}: {speed(depthMm / meanS)}.
          </Quiet>
        ) : null}
      </p>
      {gates.fault ? <Fault>{gates.fault}</Fault> : null}
      {fault ? <Fault>{fault}</Fault> : null}
    </form>
  )
}
