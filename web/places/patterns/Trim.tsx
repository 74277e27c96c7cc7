import { useMemo, useState } from 'react'
import { trimmable, trimSteps, waterAt, wording } from '../../../core/index.ts'
import type { Cut, Trimmed } from '../../../core/index.ts'
import { useWording } from '../../words/useWording.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { Dense, Quiet, Row } from '../../ui/layout.tsx'
import type { ChangeDraft, Draft, DraftVariant } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { asVariant, leftBy } from './cutVariant.ts'
import type { WorkedOut } from './useFlyReport.ts'
import { labels } from '../../words/patterns.ts'

interface TrimProps {
  readonly worked: WorkedOut
  readonly draft: Draft
  readonly chosen: DraftVariant
  readonly book: MaterialBook
  readonly waterTempC: number
  readonly onChange: ChangeDraft
  readonly onChoose: (id: string) => void
}

const HOW: Readonly<Record<Cut['how'], string>> = { shorten: 'shorten the', clipBelow: 'clip below: the' }

/** Which side of the shank the shears take from. */
const SIDE: Readonly<Record<Cut['how'], string>> = { shorten: 'above', clipBelow: 'below' }

/** Shears on a floating fly: what each cut makes of its posture, the water that it bears and its drownings. */
export function Trim({ worked, draft, chosen: variant, book, waterTempC, onChange, onChoose }: TrimProps) {
  const { fly } = worked
  const { mass, small } = useWording()
  const choices = useMemo(() => trimmable(fly), [fly])
  const [key, setKey] = useState<string | null>(null)
  const chosen = choices.find(({ component }) => component.key === key) ?? choices[0]
  const steps = useMemo(
    () => (chosen ? trimSteps(fly, chosen.component.key, chosen.how, waterAt(waterTempC)) : []),
    [fly, chosen, waterTempC],
  )
  if (!chosen) return <Quiet>{labels.itHasNoHackle}</Quiet>
  const { lengthMm } = chosen.component
  const cutAsVariant = ({ cut }: Trimmed) => {
    const made = asVariant(draft, variant, cut, lengthMm, book.materials)
    onChange(({ variants }) => ({ variants: [...variants, made] }))
    onChoose(made.id)
  }
  const cutThePattern = ({ cut }: Trimmed) =>
    onChange(({ components }) => ({
      components: components.map((component) =>
        component.key === cut.componentKey ? { ...component, ...leftBy(component, cut, lengthMm) } : component,
      ),
    }))
  return (
    <>
      {choices.length > 1 ? (
        <Select
          label={labels.whatToTrim}
          value={chosen.component.key}
          choices={choices.map(({ component, how }) => ({
            id: component.key,
            name: `${HOW[how]} ${wording.componentName[component.kind]}`,
          }))}
          onChange={setKey}
          width="240px"
        />
      ) : null}
      <Dense aria-label={labels.whatEachCutDoes} style={{ width: 'auto', marginTop: 6 }}>
        <thead>
          <tr>
            <th className="number">
              {wording.componentName[chosen.component.kind]} left {SIDE[chosen.how]}
            </th>
            <th>{labels.itFloats}</th>
            <th className="number">{labels.clear}</th>
            <th>{labels.bears}</th>
            <th className="number">{labels.carries}</th>
            <th>{labels.sinksAfter}</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {steps.map((step, i) => (
            <tr key={step.cut.left}>
              <td className="number">
                {small((chosen.component.lengthMm ?? 0) * step.cut.left)}{' '}
                <Quiet>{Math.round(step.cut.left * 100)} %</Quiet>
              </td>
              {step.ride ? (
                <>
                  <td>{wording.postureWord[step.ride.posture]}</td>
                  <td className="number">{small(step.ride.freeHeightMm)}</td>
                  <td>{wording.bearsWord[step.ride.bears]}</td>
                  <td className="number">{mass(step.ride.spareMg)}</td>
                  <td>{wording.drownings(step.ride.drowningsUntilSunk)}</td>
                </>
              ) : (
                <td colSpan={5}>{labels.itSinks}</td>
              )}
              <td>
                {i === 0 ? (
                  <Quiet>{labels.asItIs}</Quiet>
                ) : (
                  <Row $gap={2} style={{ flexWrap: 'nowrap' }}>
                    <Button
                      onPress={() => cutAsVariant(step)}
                      aria-label={`Cut to ${Math.round(step.cut.left * 100)} %, as a variant`}
                    >
                      {labels.asAVariant}
                    </Button>
                    <Button
                      look="quiet"
                      onPress={() => cutThePattern(step)}
                      aria-label={`Cut to ${Math.round(step.cut.left * 100)} %, the pattern itself`}
                    >
                      {labels.thePatternItself}
                    </Button>
                  </Row>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Dense>
    </>
  )
}
