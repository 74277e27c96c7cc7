import { memo } from 'react'
import { knotsOf, wording } from '../../../../core/index.ts'
import type { RigPart } from '../../../../core/index.ts'
import { Button } from '../../../ui/Button.tsx'
import { Dense, Row } from '../../../ui/layout.tsx'
import { Select } from '../../../ui/Select.tsx'
import { labels, PARTS } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import { PartFields } from './PartFields.tsx'
import { FromStores } from './FromStores.tsx'
import { useOwnTackle } from '../../../parts/rigs/useOwnTackle.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'

/** A part as it is when it is added. */
const FRESH: Readonly<Record<keyof typeof PARTS, RigPart>> = {
  line: { kind: 'line', sort: 'floating', lengthMm: 12_000, diameterMm: 1.1, rateMmPerS: null },
  leader: { kind: 'leader', lengthMm: 2700, buttMm: 0.45, tipMm: 0.2, stuff: 'nylon' },
  tippet: { kind: 'tippet', lengthMm: 600, diameterMm: 0.14, stuff: 'nylon' },
  dropper: { kind: 'dropper', lengthMm: 150, fly: null },
  float: { kind: 'float', diameterMm: 12, massMg: 200 },
  dry: { kind: 'dry', fly: null },
  shot: { kind: 'shot', massMg: 100 },
  swivel: { kind: 'swivel', massMg: 120 },
  ring: { kind: 'ring', massMg: 15 },
  knot: { kind: 'knot', knot: 'blood' },
  point: { kind: 'point', fly: null },
}

interface RigPartsProps {
  readonly parts: readonly RigPart[]
  readonly flies: readonly FlyChoice[]
  readonly isFixed: boolean
  readonly onPut: (parts: readonly RigPart[]) => void
}

/** The parts of a rig in a table: changed, moved, taken out and added by hand; at each knot what it holds. */
export const RigParts = memo(function RigParts({ parts, flies, isFixed, onPut }: RigPartsProps) {
  const { units } = useWording()
  const tackle = useOwnTackle()
  const knots = knotsOf(parts)
  const nameOf = (id: string) => flies.find((fly) => fly.id === id)?.name ?? ''
  const swapped = (i: number) =>
    parts.map((part, k) => (k === i ? parts[i + 1] : k === i + 1 ? parts[i] : part) ?? part)
  return (
    <>
      <Dense aria-label={labels.parts}>
        <thead>
          <tr>
            <th>{labels.part}</th>
            <th>{labels.madeOf}</th>
            <th>{labels.knotBelow}</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {parts.map((part, i) => {
            const called = `${PARTS[part.kind]}, ${i + 1}`
            const tied = knots.find(({ after }) => after === i)
            return (
              <tr key={i}>
                <td>{PARTS[part.kind]}</td>
                <td>
                  {isFixed ? (
                    wording.rigPartWords(part, nameOf, units)
                  ) : (
                    <Row $gap={6}>
                      <FromStores at={i} parts={parts} called={called} tackle={tackle} onPut={onPut} />
                      <PartFields
                        part={part}
                        called={called}
                        flies={flies}
                        onChange={(next) => onPut(parts.map((one, k) => (k === i ? next : one)))}
                      />
                    </Row>
                  )}
                </td>
                <td>{tied ? `${wording.knotName(tied.knot)}, ${wording.holds(tied.holdsKg)}` : ''}</td>
                <td>
                  {isFixed ? null : (
                    <Row $gap={2}>
                      <Button
                        look="quiet"
                        aria-label={`${labels.up}: ${called}`}
                        isDisabled={i === 0}
                        onPress={() => onPut(swapped(i - 1))}
                      >
                        {labels.up}
                      </Button>
                      <Button
                        look="quiet"
                        aria-label={`${labels.down}: ${called}`}
                        isDisabled={i === parts.length - 1}
                        onPress={() => onPut(swapped(i))}
                      >
                        {labels.down}
                      </Button>
                      <Button
                        look="quiet"
                        aria-label={`${labels.takeOut}: ${called}`}
                        isDisabled={parts.length === 1}
                        onPress={() => onPut(parts.filter((_, k) => k !== i))}
                      >
                        {labels.takeOut}
                      </Button>
                    </Row>
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </Dense>
      {isFixed ? null : (
        <Select
          label={labels.addAPart}
          hideLabel
          placeholder={labels.addAPart}
          value={null}
          choices={Object.entries(PARTS).map(([id, name]) => ({ id, name }))}
          onChange={(kind) => onPut(added(parts, FRESH[kind as keyof typeof PARTS]))}
          width="200px"
        />
      )}
    </>
  )
})

/** A part more: line at the top, what carries it above the last piece of tippet, the rest above the point. */
function added(parts: readonly RigPart[], part: RigPart): readonly RigPart[] {
  if (part.kind === 'line') return [part, ...parts]
  const carries = part.kind === 'float' || part.kind === 'dry'
  const before = carries ? 'tippet' : 'point'
  const at = part.kind === 'point' ? -1 : parts.findLastIndex(({ kind }) => kind === before)
  return at < 0 ? [...parts, part] : [...parts.slice(0, at), part, ...parts.slice(at)]
}
