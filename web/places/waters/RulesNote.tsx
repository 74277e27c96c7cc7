import { useState } from 'react'
import type { WatersView } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, NoteField } from '../../ui/fields.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { useTyped } from '../../ui/useTyped.ts'
import { useWaterSave } from './useWaterSave.ts'
import { WaterPlace } from './WaterPlace.tsx'
import { WaterDetails } from './WaterDetails.tsx'
import { labels } from '../../words/waters.ts'
import { RULE_NAMES, rulesSentence } from '../../words/rules.ts'
import { useWording } from '../../words/useWording.ts'

type WaterLine = WatersView['waters'][number]

const FLAGS = Object.entries(RULE_NAMES) as [keyof typeof RULE_NAMES, string][]

/** The user's own note of the rules, always with the reminder that the posted rule decides. */
export function RulesNote({ line }: { readonly line: WaterLine }) {
  const [open, setOpen] = useState(false)
  const { units } = useWording()
  const { save, saveTyped } = useWaterSave(line.id)
  const note = useTyped(line.water.rulesNote, (rulesNote) => saveTyped({ rulesNote }))
  return (
    <div style={{ padding: '6px 0' }}>
      <Row>
        <span>
          {rulesSentence(line.water.rules, units)} <Quiet>{labels.thePostedRuleDecides}</Quiet>
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
                onChange={(on) => save({ rules: { [flag]: on ? true : null } })}
              >
                {words}
              </Checkbox>
            ))}
          </Row>
          <NoteField label={labels.inYourWords} {...note} width="520px" />
        </>
      ) : line.water.rulesNote ? (
        <Quiet>{line.water.rulesNote}</Quiet>
      ) : null}
    </div>
  )
}
