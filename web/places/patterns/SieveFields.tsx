import type { PatternsView } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Row } from '../../ui/layout.tsx'
import { Select } from '../../ui/Select.tsx'
import type { Choice } from '../../ui/Select.tsx'
import { labels } from '../../words/patterns.ts'
import { ONLY } from './sieve.ts'
import type { Sieve } from './sieve.ts'

const ANY = 'any'

interface SieveFieldsProps {
  readonly data: PatternsView
  readonly sieve: Sieve
  readonly onChange: (change: Partial<Sieve>) => void
  readonly onClear: (() => void) | null
}

const byName = (a: Choice, b: Choice) => a.name.localeCompare(b.name)

/** Foods and sizes that something in the list is for. */
function choicesOf({ patterns, boxes }: PatternsView) {
  const foods = new Map<string, string>(
    patterns.flatMap(({ serves }) =>
      serves.map(({ foodStageId, name }): [string, string] => [foodStageId, name]),
    ),
  )
  const sizes = new Set(
    patterns.flatMap(({ variants }) => variants.flatMap(({ figure: { hookSize } }) => hookSize ?? [])),
  )
  return {
    foods: [...foods].map(([id, name]) => ({ id, name })).sort(byName),
    sizes: [...sizes].sort((a, b) => b - a).map((size) => ({ id: String(size), name: `#${size}` })),
    boxes: boxes.map(({ id, name }) => ({ id, name })),
  }
}

/** What narrows the list: words, food, size, box, and what is short. */
export function SieveFields({ data, sieve, onChange, onClear }: SieveFieldsProps) {
  const { foods, sizes, boxes } = choicesOf(data)
  const one = (
    key: Exclude<keyof Sieve, 'words'>,
    label: string,
    any: string,
    choices: readonly Choice[],
    width: string,
  ) => (
    <Select
      label={label}
      hideLabel
      value={sieve[key] || ANY}
      choices={[{ id: ANY, name: any }, ...choices]}
      onChange={(id) => onChange({ [key]: id === ANY ? '' : id })}
      width={width}
    />
  )
  return (
    <Row $gap={8} role="group" aria-label={labels.narrowTheList} style={{ paddingBottom: 6 }}>
      <TextField
        label={labels.findAPattern}
        hideLabel
        type="search"
        value={sieve.words}
        onChange={(words) => onChange({ words })}
        width="170px"
      />
      {one('foodStageId', labels.forWhatFood, labels.anyFood, foods, '170px')}
      {one('size', labels.ofWhatSize, labels.anySize, sizes, '104px')}
      {one('boxId', labels.inWhatBox, labels.anyBox, boxes, '140px')}
      {one(
        'only',
        labels.shortOrNot,
        labels.shortAndFull,
        [
          { id: ONLY.short, name: labels.onlyShort },
          { id: ONLY.homeless, name: labels.onlyHomeless },
        ],
        '140px',
      )}
      {onClear ? (
        <Button look="quiet" onPress={onClear}>
          {labels.showAll}
        </Button>
      ) : null}
    </Row>
  )
}
