import type { RigPart } from '../../../../core/index.ts'
import { ownTackleOf, withTackle } from '../../../parts/rigs/useOwnTackle.ts'
import type { OwnTackle } from '../../../parts/rigs/useOwnTackle.ts'
import { Select } from '../../../ui/Select.tsx'
import { labels } from '../../../words/rigs.ts'

const NONE = 'none'

interface FromStoresProps {
  /** place of the part among them */
  readonly at: number
  readonly parts: readonly RigPart[]
  readonly called: string
  readonly tackle: readonly OwnTackle[]
  readonly onPut: (parts: readonly RigPart[]) => void
}

/** Which goods of the stores a part of a rig is made of; of a line in two pieces the first tells for both. */
export function FromStores({ at, parts, called, tackle, onPut }: FromStoresProps) {
  const part = parts[at]
  const alike = tackle.filter(({ kind }) => kind === part?.kind)
  const isSaidAbove = part?.kind === 'line' && parts.findIndex(({ kind }) => kind === 'line') < at
  if (!part || alike.length === 0 || isSaidAbove) return null
  return (
    <Select
      label={`${labels.fromStores} (${called})`}
      hideLabel
      value={ownTackleOf(part, parts, tackle)?.id ?? NONE}
      choices={[{ id: NONE, name: labels.anotherTackle }, ...alike]}
      onChange={(id) => {
        const own = alike.find((one) => one.id === id)
        if (own) onPut(withTackle(at, parts, own))
      }}
      width="230px"
    />
  )
}
