import { useState } from 'react'
import { useNavigate } from 'react-router'
import { within } from '../../../contract/limits.ts'
import type { BoxesView, CompartmentId, VariantLine } from '../../../contract/index.ts'
import { useSettings } from '../../wire/useSettings.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { placeChoices } from '../../parts/placeChoices.ts'
import { Button } from '../../ui/Button.tsx'
import { Row } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { numberIn } from '../../ui/said.ts'
import type { Said } from '../../ui/said.ts'
import { Select } from '../../ui/Select.tsx'
import { labels } from '../../words/patterns.ts'

/** Stands for a box that is made along with the place. */
const NEW_BOX = 'new'
const USUAL_KEEP = 3

interface FirstPlaceProps {
  readonly patternName: string
  readonly variant: VariantLine
  readonly boxes: BoxesView
}

/** A variant that has no place yet is given one in a line: where, how many to keep, and as many on the vise at once. */
export function FirstPlace({ patternName, variant, boxes }: FirstPlaceProps) {
  const { settings } = useSettings()
  const [typed, setTyped] = useState<Said | null | undefined>(undefined)
  const [place, setPlace] = useState<string | null>(null)
  const command = useCommand()
  const navigate = useNavigate()
  const keep = typed === undefined ? (settings?.parCount ?? USUAL_KEEP) : numberIn(typed)
  const places = [
    ...placeChoices(boxes.boxes.filter(({ kind }) => kind !== 'benchTray')),
    { id: NEW_BOX, name: labels.aNewBox },
  ]
  const target = place ?? places[0]?.id ?? NEW_BOX
  /** The compartment it will lie in, made where it is to be new. */
  const placeFor = async (): Promise<CompartmentId | null> => {
    if (target !== NEW_BOX) return target as CompartmentId
    const compartmentId = newId<CompartmentId>()
    const made = await command('boxCreate', {
      boxId: newId(),
      name: labels.firstBox,
      note: '',
      compartments: [{ id: compartmentId, row: 1, column: 1, label: labels.firstFlies, capacity: null }],
    })
    return made.kind === 'refused' ? null : compartmentId
  }
  const put = async (tie: boolean) => {
    const homeCompartmentId = await placeFor()
    if (!homeCompartmentId) return
    const { id: variantId, version } = variant
    const homed = await command('variantHome', { variantId, version, parCount: keep, homeCompartmentId })
    if (homed.kind === 'refused' || !tie || !keep) return
    const batch = { batchId: newId<never>(), variantId, plannedCount: keep, onVise: true }
    const delivery = await command('batchPlan', { ...batch, compartmentId: homeCompartmentId })
    if (delivery.kind === 'done') void navigate('/bench')
  }
  return (
    <Row style={{ paddingTop: 10 }} $align="end" role="group" aria-label={labels.itsFirstPlace}>
      <Select
        label={`${patternName} ${variant.label} lies in`}
        value={target}
        choices={places}
        onChange={setPlace}
        width="240px"
      />
      <NumberField
        label={labels.keep}
        value={keep}
        {...within('par')}
        mayBeEmpty
        onChange={setTyped}
        onUnclear={() => setTyped('unclear')}
        width="70px"
      />
      <Button look="main" onPress={() => void put(true)} isDisabled={!keep}>
        Tie {keep ?? 0} now
      </Button>
      <Button onPress={() => void put(false)} isDisabled={typed === 'unclear'}>
        {labels.onlyThePlace}
      </Button>
    </Row>
  )
}
