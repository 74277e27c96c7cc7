import { isSought, ROLES, wording } from '../../../core/index.ts'
import { memo, useState } from 'react'
import { useLarderQuery } from '../../wire/answers.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox, TextField } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { MonthStrip } from '../../parts/MonthStrip.tsx'
import type { ChangeDraft, Draft } from '../../recipe/draft.ts'
import { labels } from '../../words/patterns.ts'

const PURPOSES = [
  { id: 'imitation', name: 'imitation' },
  { id: 'attractor', name: 'attractor' },
  { id: 'searching', name: 'searching' },
]
const MOST_FOUND = 6

/** Months of all that it imitates: the likeliest of them, month by month. */
function monthsOf(
  ids: readonly string[],
  stages: readonly { id: string; months: readonly ({ likelihood: number } | null)[] }[],
) {
  const served = stages.filter(({ id }) => ids.includes(id))
  return Array.from({ length: 12 }, (_, i) => {
    const likelihood = Math.max(0, ...served.map(({ months }) => months[i]?.likelihood ?? 0))
    return likelihood > 0 ? { likelihood } : null
  })
}

/** What the pattern imitates; its months follow from that. */
export const Imitates = memo(function Imitates({
  draft,
  onChange,
}: {
  readonly draft: Draft
  readonly onChange: ChangeDraft
}) {
  const { data } = useLarderQuery()
  const [words, setWords] = useState('')
  const stages = data?.stages ?? []
  const sought = words.trim()
  const found =
    sought === ''
      ? []
      : stages
          .filter(
            (stage) =>
              !draft.serves.some(({ foodStageId }) => foodStageId === stage.id) && isSought(stage, sought),
          )
          .slice(0, MOST_FOUND)
  return (
    <>
      <Row $align="start">
        <Select
          label={labels.purpose}
          value={draft.purpose}
          choices={PURPOSES}
          onChange={(purpose) => onChange({ purpose: purpose as Draft['purpose'] })}
          width="130px"
        />
        <TextField
          label={labels.imitatesFindAFood}
          type="search"
          value={words}
          onChange={setWords}
          width="220px"
        />
        <div style={{ paddingTop: 18 }}>
          <MonthStrip
            months={monthsOf(
              draft.serves.map(({ foodStageId }) => foodStageId),
              stages,
            )}
            month={-1}
          />{' '}
          <Quiet>{labels.itsMonths}</Quiet>
        </div>
      </Row>
      <Row $gap={12} role="group" aria-label={labels.keptFor} style={{ paddingTop: 6 }}>
        <Quiet>{labels.keptFor}</Quiet>
        {ROLES.map((role) => (
          <Checkbox
            key={role}
            isSelected={draft.roles.includes(role)}
            onChange={(on) =>
              onChange({ roles: ROLES.filter((one) => (one === role ? on : draft.roles.includes(one))) })
            }
          >
            {wording.roleName[role]}
          </Checkbox>
        ))}
      </Row>
      <Row $gap={6} style={{ paddingTop: 6 }}>
        {found.map(({ id, foodName, stageName }) => (
          <Button
            key={id}
            onPress={() => {
              onChange({
                serves: [...draft.serves, { foodStageId: id, weight: 1, name: `${foodName}, ${stageName}` }],
              })
              setWords('')
            }}
          >
            + {foodName}, {stageName}
          </Button>
        ))}
        {draft.serves.map(({ foodStageId, name }) => (
          <Button
            key={foodStageId}
            look="quiet"
            aria-label={`No longer for ${name}`}
            onPress={() =>
              onChange({ serves: draft.serves.filter((served) => served.foodStageId !== foodStageId) })
            }
          >
            {name} ×
          </Button>
        ))}
      </Row>
    </>
  )
})
