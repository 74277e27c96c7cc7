import { hooksForNatural, wording } from '../../../../core/index.ts'
import { within } from '../../../../contract/limits.ts'
import type { StageLine } from '../../../../contract/index.ts'
import { MONTHS } from '../../../words/days.ts'
import { useWording } from '../../../words/useWording.ts'
import { Dense, Quiet } from '../../../ui/layout.tsx'
import { MeasureField } from '../../../ui/MeasureField.tsx'
import { NumberField } from '../../../ui/NumberField.tsx'
import type { ChangeStage, StageDraft } from './draft.ts'
import { labels } from '../../../words/larder.ts'

const NONE = { lengthMmLow: null, lengthMmHigh: null, likelihood: null } as const
const USUAL = { lengthMmLow: 5, lengthMmHigh: 8, likelihood: 0.3 } as const

/** Length and likelihood of a stage, month by month; a month without a likelihood has none of it. */
export function MonthFields({ draft, hookRanges, onChange }: { readonly draft: StageDraft; readonly hookRanges: StageLine['hookRanges']; readonly onChange: ChangeStage }) {
  const { units } = useWording()
  const set = (at: number, part: 'lengthMmLow' | 'lengthMmHigh' | 'likelihood', value: number | null) => {
    const before = draft.months[at] ?? null
    const gone = part === 'likelihood' && value === null
    const month = gone ? null : { ...USUAL, ...before, [part]: value ?? USUAL[part] }
    onChange({ months: draft.months.map((old, i) => (i === at ? month : old)) })
  }
  return (
    <>
      <Dense aria-label={labels.months} style={{ width: 'auto' }}>
        <thead>
          <tr>
            <th>{labels.month}</th>
            <th>{labels.likelyOf10}</th>
            <th>shortest, {units.smallLength}</th>
            <th>longest, {units.smallLength}</th>
            <th>{labels.hooks}</th>
          </tr>
        </thead>
        <tbody>
          {MONTHS.map((name, i) => {
            const month = draft.months[i] ?? NONE
            const tenths = month.likelihood === null ? null : Math.round(month.likelihood * 100) / 10
            return (
              <tr key={name}>
                <td>{name}</td>
                <td>
                  <NumberField name={`stage.months.${i}.likelihood`} label={`Likely in ${name}, of 10`} hideLabel value={tenths} min={0} max={10} mayBeEmpty onChange={(value) => set(i, 'likelihood', value === null ? null : value / 10)} />
                </td>
                <td>
                  <MeasureField name={`stage.months.${i}.lengthMmLow`} unit={units.smallLength} label={`Shortest in ${name}`} hideLabel value={month.lengthMmLow} {...within('foodMm')} mayBeEmpty={month.likelihood === null} onChange={(value) => set(i, 'lengthMmLow', value)} />
                </td>
                <td>
                  <MeasureField name={`stage.months.${i}.lengthMmHigh`} unit={units.smallLength} label={`Longest in ${name}`} hideLabel value={month.lengthMmHigh} {...within('foodMm')} mayBeEmpty={month.likelihood === null} onChange={(value) => set(i, 'lengthMmHigh', value)} />
                </td>
                <td>
                  {month.lengthMmLow !== null && month.lengthMmHigh !== null ? (
                    <Quiet>{wording.hookSizes(hooksForNatural(hookRanges, month.lengthMmLow, month.lengthMmHigh))}</Quiet>
                  ) : null}
                </td>
              </tr>
            )
          })}
        </tbody>
      </Dense>
      <Quiet>{labels.monthsAsInThe}</Quiet>
    </>
  )
} // prettier-ignore
