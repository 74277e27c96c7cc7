import { NEEDS, wording } from '../../../../core/index.ts'
import { Select } from '../../../ui/Select.tsx'
import { Quiet, Row } from '../../../ui/layout.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import { labels } from '../../../words/larder.ts'
import type { ChangeStage, StageDraft } from './draft.ts'

type Amount = NonNullable<StageDraft['amount']>

/** What is on offer at a good lie, in parts of the usual bottom drift of a fertile river by day. */
const MOST_AMOUNT = 1000
const NOTHING = 'nothing'
const WAITS_FOR = [{ id: NOTHING, name: 'nothing' }, ...NEEDS.map((id) => ({ id, name: wording.needName[id] }))]

/** How much of it there is while it is about, how easily it is had, how closely fish look, and what it needs. */
export function AmountFields({
  draft,
  onChange,
}: {
  readonly draft: StageDraft
  readonly onChange: ChangeStage
}) {
  const { amount = { low: 0.2, usual: 0.8, peak: 3.2 }, ease = 0.5, choosy = 0.4, needs = null } = draft
  const part = (label: string, key: keyof Amount) => (
    <NumberField
      name={`stage.amount.${key}`}
      label={label}
      value={amount[key]}
      min={0}
      max={MOST_AMOUNT}
      onChange={(value) => onChange({ amount: { ...amount, [key]: value ?? 0 } })}
      width="90px"
    />
  )
  return (
    <>
      <Row $align="start">
        {part(labels.amountLow, 'low')}
        {part(labels.amountUsual, 'usual')}
        {part(labels.amountPeak, 'peak')}
        <NumberField
          name="stage.ease"
          label={labels.easeOf10}
          value={Math.round(ease * 100) / 10}
          min={0}
          max={10}
          onChange={(value) => onChange({ ease: (value ?? 0) / 10 })}
          width="120px"
        />
        <NumberField
          name="stage.choosy"
          label={labels.choosyOf10}
          value={Math.round(choosy * 100) / 10}
          min={0}
          max={10}
          onChange={(value) => onChange({ choosy: (value ?? 0) / 10 })}
          width="140px"
        />
        <Select
          label={labels.itNeeds}
          value={needs ?? NOTHING}
          choices={WAITS_FOR}
          onChange={(id) => onChange({ needs: id === NOTHING ? null : (id as StageDraft['needs'] & string) })}
          width="180px"
        />
      </Row>
      <Quiet>{labels.oneIsTheUsual}</Quiet>
    </>
  )
}
