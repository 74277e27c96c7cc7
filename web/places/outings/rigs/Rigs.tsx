import { settingOf, weakestOf, wording } from '../../../../core/index.ts'
import type { RigId } from '../../../../contract/index.ts'
import { Button } from '../../../ui/Button.tsx'
import { Dense, Heading, Quiet } from '../../../ui/layout.tsx'
import { usePlaceActions } from '../../../ui/shortcuts.ts'
import { useRigsQuery } from '../../../wire/api.ts'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import { RigSheet } from './RigSheet.tsx'
import { useFlyChoices } from './useRigFlies.ts'

const NEW = 'new'
const NOWRAP = { whiteSpace: 'nowrap' } as const

interface RigsProps {
  /** which is open: its id, `new`, or empty for the list */
  readonly open: string
  readonly onOpen: (id: string) => void
  readonly onOutings: () => void
}

/** All rigs by name, or one of them open. */
export default function Rigs({ open, onOpen, onOutings }: RigsProps) {
  const { data } = useRigsQuery()
  const flies = useFlyChoices()
  const { units } = useWording()
  usePlaceActions(open ? [] : [{ key: 'n', what: labels.newRig, go: () => onOpen(NEW) }])
  if (!data || !flies) return <p aria-busy="true">{labels.turningThePages}</p>
  const rig = data.rigs.find(({ id }) => id === open)
  const show = (id: RigId | null) => onOpen(id ?? '')
  if (rig) return <RigSheet key={`${rig.id} ${rig.version}`} rig={rig} flies={flies} onOpen={show} />
  if (open === NEW) return <RigSheet key={NEW} rig={null} flies={flies} onOpen={show} />
  const nameOf = (id: string) => flies.find((fly) => fly.id === id)?.name ?? ''
  return (
    <>
      <Heading>
        <h1>{labels.rigs}</h1>
        <Button look="main" large onPress={() => onOpen(NEW)}>
          {labels.newRig}
        </Button>
        <Button look="quiet" onPress={onOutings}>
          {labels.outings}
        </Button>
      </Heading>
      {data.rigs.length === 0 ? <p>{labels.noRigYet}</p> : null}
      <Dense aria-label={labels.rigs}>
        <tbody>
          {data.rigs.map(({ id, name, way, parts, spells }) => {
            const setMm = settingOf(parts)
            const weakest = weakestOf(parts)
            const carried = parts.flatMap((part) => ('fly' in part && part.fly ? [nameOf(part.fly)] : []))
            return (
              <tr key={id}>
                <td>
                  <Button look="quiet" onPress={() => onOpen(id)}>
                    {name}
                  </Button>
                </td>
                <td>
                  {carried.join(' · ')} <Quiet>{labels[way]}</Quiet>
                </td>
                <td className="figures" style={NOWRAP}>
                  {setMm ? `set to ${wording.rigLength(setMm, units)}` : ''}
                </td>
                <td className="figures" style={NOWRAP}>
                  {weakest ? `weakest ${wording.holds(weakest.holdsKg)}` : ''}
                </td>
                <td>{spells > 0 ? `fished ${spells === 1 ? 'once' : `${spells} times`}` : ''}</td>
              </tr>
            )
          })}
        </tbody>
      </Dense>
    </>
  )
}
