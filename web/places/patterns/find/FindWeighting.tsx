import { useCallback, useState } from 'react'
import { SPLASHES, splashLimitMicroJ, USUAL_LEADER, wording } from '../../../../core/index.ts'
import type { Finalist, Measured, SplashWord } from '../../../../core/index.ts'
import { useWording } from '../../../words/useWording.ts'
import { Button } from '../../../ui/Button.tsx'
import { Checkbox } from '../../../ui/fields.tsx'
import { Select } from '../../../ui/Select.tsx'
import { Form } from '../../../ui/Form.tsx'
import { Quiet, Row } from '../../../ui/layout.tsx'
import type { ChangeDraft, Draft, DraftVariant } from '../../../recipe/draft.ts'
import type { MaterialBook } from '../../../recipe/useMaterialBook.ts'
import { FoundTable } from './FoundTable.tsx'
import { useFinder } from './useFinder.ts'
import { useOffers } from './useOffers.ts'
import type { OfferChoice } from './useOffers.ts'
import { useWanted } from './useWanted.tsx'
import { withFound } from './withFound.ts'
import { labels } from '../../../words/patterns.ts'

const ANY = 'any'
const SPLASH_CHOICES = [
  { id: ANY, name: 'any splash' },
  ...SPLASHES.slice(0, -1).map((word) => ({ id: word, name: `at most: ${wording.splashWord[word]}` })),
]

interface FindWeightingProps {
  readonly draft: Draft
  readonly chosen: DraftVariant
  readonly book: MaterialBook
  readonly measured: Measured
  readonly onChange: ChangeDraft
  readonly onChoose: (id: string) => void
}

function useChoice() {
  const [choice, setChoice] = useState<OfferChoice>({
    noLead: true,
    noTungsten: false,
    onlyStores: false,
    otherSizes: true,
    otherWires: false,
    bodies: false,
  })
  const tick = (key: keyof OfferChoice, label: string) => (
    <Checkbox isSelected={choice[key]} onChange={(on) => setChoice((before) => ({ ...before, [key]: on }))}>
      {label}
    </Checkbox>
  )
  const fields = (
    <Row $gap={16}>
      {tick('otherSizes', 'hooks a size either way')}
      {tick('otherWires', 'finer and heavier hooks')}
      {tick('bodies', 'thinner and thicker bodies')}
      {tick('onlyStores', 'only what is in the stores')}
      {tick('noLead', 'no lead')}
      {tick('noTungsten', 'no tungsten')}
    </Row>
  )
  return { choice, fields }
}

/** Backwards: from what the fly is to do to the weightings that do it. */
export default function FindWeighting({
  draft,
  chosen,
  book,
  measured,
  onChange,
  onChoose,
}: FindWeightingProps) {
  const { depth } = useWording()
  const [splash, setSplash] = useState<string>(ANY)
  const { wanted, waterTempC, fields: wantedFields } = useWanted()
  const { choice, fields: choiceFields } = useChoice()
  const searchable = useOffers(book, book.materials.get(chosen.hookMaterialId), choice)
  const { finding, start, halt } = useFinder()
  const ready = searchable && wanted && waterTempC !== null
  const search = () => {
    if (!ready) return
    void start({
      dressing: { components: draft.components, steps: draft.steps },
      variant: chosen,
      materials: book.materials,
      offers: searchable.offers,
      wanted,
      conditions: { waterTempC, tippet: USUAL_LEADER, wet: 'fresh', filmTreatment: 'none' },
      measured,
      mostSplashMicroJ: splash === ANY ? Infinity : splashLimitMicroJ(splash as SplashWord),
    })
  }
  const make = useCallback(
    (finalist: Finalist) => {
      if (!searchable) return
      const { edit, id } = withFound(draft, chosen, finalist, searchable, book)
      onChange(edit)
      onChoose(id)
    },
    [searchable, draft, chosen, book, onChange, onChoose],
  )
  return (
    <Form
      label={labels.findAWeighting}
      onSubmit={() => {
        search()
      }}
    >
      <Row $align="start">
        {wantedFields}
        <Select
          label={labels.andItMay}
          value={splash}
          choices={SPLASH_CHOICES}
          onChange={setSplash}
          width="170px"
        />
      </Row>
      {choiceFields}
      <Row>
        <Button type="submit" look="main" isDisabled={!ready || finding.busy}>
          {labels.findWeightings}
        </Button>
        {finding.busy ? <Button onPress={halt}>{labels.stop}</Button> : null}
        <Quiet>
          The line is {USUAL_LEADER.diameterMm} mm on a leader of {depth(USUAL_LEADER.lengthMm)}, trailing as it
          sinks.
        </Quiet>
      </Row>
      <FoundTable finding={finding} onMake={make} />
    </Form>
  )
}
