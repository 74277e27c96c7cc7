import { useState } from 'react'
import type { WatersView } from '../../../contract/index.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, NoteField } from '../../ui/fields.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { WaterPlace } from './WaterPlace.tsx'
import { WaterDetails } from './WaterDetails.tsx'
import { labels } from '../../words/waters.ts'

type WaterLine = WatersView['waters'][number]
type Flag = 'dryOnly' | 'upstreamOnly' | 'barbless' | 'noLead' | 'noAddedWeight' | 'noIndicator'

const FLAGS: readonly (readonly [Flag, string])[] = [
  ['dryOnly', 'dry fly only'],
  ['upstreamOnly', 'upstream only'],
  ['barbless', 'barbless'],
  ['noLead', 'no lead'],
  ['noAddedWeight', 'no added weight'],
  ['noIndicator', 'no indicator'],
]

function spoken({ rules }: WaterLine['water']): string {
  const said = FLAGS.flatMap(([flag, words]) => (rules[flag] ? [words] : []))
  if (rules.maxFlies !== null) said.push(rules.maxFlies === 1 ? 'one fly' : `at most ${rules.maxFlies} flies`)
  if (rules.maxHookSize !== null) said.push(`hook ${rules.maxHookSize} or smaller`)
  if (rules.minHookSize !== null) said.push(`hook ${rules.minHookSize} or larger`)
  return said.length > 0 ? said.join(', ') : 'your note does not say'
}

/** The user's own note of the rules, always with the reminder that the posted rule decides. */
export function RulesNote({ line }: { readonly line: WaterLine }) {
  const [open, setOpen] = useState(false)
  const [text, setText] = useState(line.water.rulesNote)
  const command = useCommand()
  const save = (change: Partial<WaterLine['water']>) =>
    void command('waterSave', { waterId: line.id, version: line.version, water: { ...line.water, ...change } })
  return (
    <div style={{ padding: '6px 0' }}>
      <Row>
        <span>
          Your note: {spoken(line.water)}. <Quiet>{labels.thePostedRuleDecides}</Quiet>
        </span>
        <Button look="quiet" onPress={() => setOpen(!open)} aria-expanded={open}>
          {open ? 'Close' : 'Change'}
        </Button>
      </Row>
      {open ? (
        <>
          <WaterPlace line={line} />
          <WaterDetails line={line} />
          <Row>
            {FLAGS.map(([flag, words]) => (
              <Checkbox
                key={flag}
                isSelected={line.water.rules[flag] === true}
                onChange={(on) => save({ rules: { ...line.water.rules, [flag]: on ? true : null } })}
              >
                {words}
              </Checkbox>
            ))}
          </Row>
          <NoteField
            label={labels.inYourWords}
            value={text}
            onChange={setText}
            onBlur={() => (text !== line.water.rulesNote ? save({ rulesNote: text }) : undefined)}
            width="520px"
          />
        </>
      ) : line.water.rulesNote ? (
        <Quiet>{line.water.rulesNote}</Quiet>
      ) : null}
    </div>
  )
}
