import { useCallback, useState } from 'react'
import { fromCore, TIMINGS, wording } from '../../../core/index.ts'
import type { Timing } from '../../../core/index.ts'
import { newId } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import type { Choice } from '../../ui/Select.tsx'
import { Form } from '../../ui/Form.tsx'
import { Fault, Quiet, Row } from '../../ui/layout.tsx'
import { readDropTest } from './dropTest.ts'
import type { LineWas, Wet, Written } from './dropTest.ts'
import { useInstrument } from '../../wire/useInstrument.ts'
import { useKeeping } from './useKeeping.ts'
import { useStopwatch } from './useStopwatch.ts'
import { labels } from '../../words/parts.ts'

const TIMING_NAMES: Readonly<Record<Timing, string>> = {
  thumb: 'thumb on a stopwatch',
  film: 'frames of a film',
  gates: 'two light gates',
}
const STATES: readonly (Choice & { readonly id: Wet })[] = [
  { id: 'soaked', name: 'soaked and squeezed' },
  { id: 'fresh', name: 'dipped and cast' },
  { id: 'dry', name: 'dry, from the vise' },
]
const LINES = [
  { id: 'none', name: 'none' },
  ...['0.10', '0.13', '0.15', '0.18'].map((id) => ({ id, name: `${id} mm` })),
]
const LINE_WAS: readonly (Choice & { readonly id: LineWas })[] = [
  { id: 'straight', name: 'stretched straight' },
  { id: 'offTheSpool', name: 'as off the spool' },
  { id: 'coiled', name: 'in coils' },
]
const USUAL_LINE_MM = 500
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

/** What is written of a drop test, the stopwatch and the gates that write times into it, and how it is kept. */
function useDropTest({ firstId, waterTempC, speedOf }: Omit<DropTestFormProps, 'choices' | 'withStandIns'>) {
  const { units } = useWording()
  const [written, setWritten] = useState<Written>(() => ({
    variantId: null,
    depth: fromCore(USUAL_DEPTH_MM, units.depth).toFixed(1),
    vessel: '',
    timing: 'thumb',
    wet: 'soaked',
    line: 'none',
    lineLength: fromCore(USUAL_LINE_MM, units.depth).toFixed(1),
    lineWas: 'offTheSpool',
    times: '',
  }))
  const [armed, setArmed] = useState(false)
  const [simulated, setSimulated] = useState(false)
  const change = useCallback((part: Partial<Written>) => setWritten((before) => ({ ...before, ...part })), [])
  const addTime = useCallback(
    (timeS: number) =>
      setWritten((before) => ({ ...before, times: `${before.times} ${timeS.toFixed(2)}`.trim() })),
    [],
  )
  const { keep, problem } = useKeeping(() => {
    change({ times: '' })
    setSimulated(false)
  })
  const watch = useStopwatch(armed, addTime)
  const gates = useInstrument('timer', (timeS) => {
    change({ timing: 'gates' })
    setSimulated(true)
    addTime(timeS)
  })
  const variantId = written.variantId ?? firstId
  const vesselUnit = units.smallLength === 'in' ? 'in' : 'cm'
  const read = readDropTest({ ...written, variantId }, { depth: units.depth, vessel: vesselUnit })
  const { depthMm, test } = read
  return {
    written: { ...written, variantId },
    change,
    read,
    vesselUnit,
    armed,
    arm: () => setArmed(!armed),
    watch,
    gates,
    dropThroughGates:
      depthMm === null || variantId === null
        ? null
        : () => void gates.read(depthMm / Math.max(speedOf(variantId), 1)),
    save: () =>
      test &&
      void keep('dropTestSave', {
        testId: newId(),
        version: null,
        test: { ...test, waterTempC, note: simulated ? 'Simulated gates.' : '' },
      }),
    problem,
  }
}

interface LineFieldsProps {
  readonly written: Written
  readonly change: (part: Partial<Written>) => void
  readonly fault: string | undefined
}

/** The line on a fly that is dropped: none, or how thick, how long and how straight. */
function LineFields({ written, change, fault }: LineFieldsProps) {
  const { units } = useWording()
  return (
    <>
      <Select
        label={labels.withLine}
        value={written.line}
        choices={LINES}
        onChange={(line) => change({ line })}
        width="110px"
      />
      {written.line === 'none' ? null : (
        <>
          <TextField
            name="test.tippet.lengthMm"
            label={`${labels.lineThatFollows}, ${units.depth}`}
            value={written.lineLength}
            onChange={(lineLength) => change({ lineLength })}
            width="130px"
            fault={fault}
          />
          <Select
            label={labels.theLineWas}
            value={written.lineWas}
            choices={LINE_WAS}
            onChange={(id) => change({ lineWas: id as LineWas })}
            width="170px"
          />
        </>
      )}
    </>
  )
}

/** Enters a drop test: a fly that is really dropped, timed with the space bar or written down. */
export function DropTestForm({ choices, withStandIns, ...asked }: DropTestFormProps) {
  const { units, depth, speed, temperature } = useWording()
  const { written, change, read, vesselUnit, armed, arm, watch, gates, dropThroughGates, save, problem } =
    useDropTest(asked)
  const { depthMm, times, meanS, faults, test } = read
  return (
    <Form
      label={labels.aDropTest}
      onSubmit={() => {
        save()
      }}
      problem={problem}
    >
      <Row $align="start">
        <Select
          label={labels.flyThatIsDropped}
          value={written.variantId}
          choices={choices}
          onChange={(variantId) => change({ variantId })}
          width="220px"
        />
        <TextField
          name="test.depthMm"
          label={`Depth, ${units.depth}`}
          value={written.depth}
          onChange={(text) => change({ depth: text })}
          width="84px"
          fault={faults.depth}
        />
        <TextField
          name="test.vesselMm"
          label={`Width of the tube, ${vesselUnit}`}
          value={written.vessel}
          onChange={(vessel) => change({ vessel })}
          placeholder={labels.openWater}
          width="150px"
          fault={faults.vessel}
        />
        <Select
          label={labels.timedBy}
          value={written.timing}
          choices={TIMINGS.map((id) => ({ id, name: TIMING_NAMES[id] }))}
          onChange={(id) => change({ timing: id as Timing })}
          width="180px"
        />
        <Select
          label={labels.itWas}
          value={written.wet}
          choices={STATES}
          onChange={(id) => change({ wet: id as Wet })}
          width="170px"
        />
        <LineFields written={written} change={change} fault={faults.lineLength} />
      </Row>
      <Row $align="end" style={{ paddingTop: 6 }}>
        <TextField
          name="test.times"
          label={labels.timesS}
          value={written.times}
          onChange={(text) => change({ times: text })}
          width="260px"
          placeholder="3.1 3.2 3.1"
          fault={faults.times}
        />
        <Button onPress={arm}>{armed ? 'Put the stopwatch away' : 'Time it with the space bar'}</Button>
        {withStandIns ? (
          <Button onPress={() => dropThroughGates?.()} isDisabled={!dropThroughGates || gates.busy}>
            {labels.dropItThroughSimulated}
          </Button>
        ) : null}
        {armed ? (
          <Button look="main" onPress={watch.press}>
            {watch.running ? 'Stop' : 'Start'}
          </Button>
        ) : null}
        <Button type="submit" look={armed ? 'plain' : 'main'} isDisabled={!test}>
          {labels.keepTheTest}
        </Button>
      </Row>
      <p role="status">
        <Quiet>In water of {temperature(asked.waterTempC)}, as the tank above. </Quiet>
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
    </Form>
  )
}
