import { useState } from 'react'
import { within } from '../../../contract/limits.ts'
import { isStillwater, parseQuantity, wording, yearAtHeight } from '../../../core/index.ts'
import type { ParsedQuantity } from '../../../core/index.ts'
import type { Problem, WatersView } from '../../../contract/index.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Form } from '../../ui/Form.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/waters.ts'

type WaterLine = WatersView['waters'][number]
type Part = WaterLine['reaches'][number]['reach']

const PARTS: readonly { readonly id: Part['kind']; readonly name: string }[] = [
  { id: 'shoal', name: 'shoal' },
  { id: 'dropOff', name: 'drop-off' },
  { id: 'basin', name: 'basin' },
]
const HEIGHT = within('elevationM')
const inMm = { min: HEIGHT.min * 1000, max: HEIGHT.max * 1000 }

/** Empty is not wrong yet. */
const faultOf = (parsed: ParsedQuantity): string | undefined =>
  parsed.kind === 'unclear' && parsed.code !== 'empty'
    ? wording.unclearSentence(parsed.code, parsed.suggestions)
    : undefined

/** One more reach of a river, or part of a lake. Its warmth follows the nearest in height, until somebody reads it. */
export function NewReach({ line, onDone }: { readonly line: WaterLine; readonly onDone: () => void }) {
  const { water, reaches } = line
  const isStill = isStillwater(water.kind)
  const { units } = useWording()
  const command = useCommand()
  const [problem, setProblem] = useState<Problem | null>(null)
  const [name, setName] = useState('')
  const [kind, setKind] = useState<Part['kind']>(isStill ? 'dropOff' : 'reach')
  const [depth, setDepth] = useState('')
  const [speed, setSpeed] = useState('')
  const [height, setHeight] = useState(wording.height(reaches.at(-1)?.reach.elevationM ?? 0, units))
  const deep = parseQuantity(depth, 'length', units.depth, within('waterDepthMm'))
  const fast = parseQuantity(isStill ? '0' : speed, 'speed', `${units.depth}/s`, within('surfaceSpeed'))
  const high = parseQuantity(height, 'length', units.depth, inMm)
  const isReady =
    name.trim() !== '' && deep.kind === 'quantity' && fast.kind === 'quantity' && high.kind === 'quantity'
  const add = async () => {
    if (deep.kind !== 'quantity' || fast.kind !== 'quantity' || high.kind !== 'quantity') return
    const elevationM = Math.round(high.value / 1000)
    const apart = ({ reach }: (typeof reaches)[number]) => Math.abs(reach.elevationM - elevationM)
    const [nearest] = [...reaches].sort((a, b) => apart(a) - apart(b))
    if (!nearest) return
    const { defaultTempC, elevationM: fromM } = nearest.reach
    const delivery = await command(
      'reachAdd',
      {
        waterId: line.id,
        reachId: newId(),
        reach: {
          kind,
          name,
          elevationM,
          typicalDepthMm: Math.round(deep.value),
          surfaceSpeedMmPerS: Math.round(fast.value),
          thermoclineMm: null,
          defaultTempC: [...yearAtHeight(defaultTempC, fromM, elevationM)],
        },
      },
      { quietly: true },
    )
    if (delivery.kind === 'refused') setProblem(delivery.problem)
    else onDone()
  }
  return (
    <Form
      label={isStill ? labels.addAPart : labels.addAReach}
      onSubmit={() => (isReady ? void add() : undefined)}
      problem={problem}
    >
      <Row $align="start">
        <TextField
          name="reach.name"
          label={labels.name}
          value={name}
          onChange={setName}
          width="180px"
          autoFocus
        />
        {isStill ? (
          <Select
            label={labels.kind}
            value={kind}
            choices={PARTS}
            onChange={(id) => setKind(id as Part['kind'])}
            width="120px"
          />
        ) : null}
        <TextField
          label={`Usual depth, ${units.depth}`}
          value={depth}
          onChange={setDepth}
          fault={faultOf(deep)}
          width="120px"
        />
        {isStill ? null : (
          <TextField
            label={`Surface speed, ${units.depth}/s`}
            value={speed}
            onChange={setSpeed}
            fault={faultOf(fast)}
            width="140px"
          />
        )}
        <TextField
          label={`Above the sea, ${units.depth}`}
          value={height}
          onChange={setHeight}
          fault={faultOf(high)}
          width="130px"
        />
        <div style={{ paddingTop: 20 }}>
          <Button type="submit" look="main" isDisabled={!isReady}>
            {labels.addIt}
          </Button>
          <Button look="quiet" onPress={onDone}>
            {labels.leaveIt}
          </Button>
        </div>
      </Row>
      <Quiet>{labels.itsWarmthFollows}</Quiet>
    </Form>
  )
}
