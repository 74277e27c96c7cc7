import { lazy, Suspense, useCallback, useMemo, useState } from 'react'
import {
  fromCore,
  parseQuantity,
  SPLASHES,
  splashLimitMicroJ,
  swapsFor,
  weightable,
  wording,
} from '../../../../core/index.ts'
import type { Calibration, Finalist, SplashWord, Wanted } from '../../../../core/index.ts'
import { useMoment } from '../../../app/useMoment.ts'
import { newId } from '../../../app/useCommand.ts'
import { useWording } from '../../../app/useWording.ts'
import { Button } from '../../../ui/Button.tsx'
import { Checkbox, Select, TextField } from '../../../ui/fields.tsx'
import { Dense, Quiet, Row } from '../../../ui/layout.tsx'
import type { ChangeDraft, Draft, DraftVariant } from '../draft.ts'
import type { MaterialBook } from '../useMaterialBook.ts'
import { labelFor } from '../variantActions.ts'
import { useFinder } from './useFinder.ts'
import { useOffers } from './useOffers.ts'
import type { OfferChoice, Searchable } from './useOffers.ts'

const TradeChart = lazy(() => import('./TradeChart.tsx'))

const MERITS: Readonly<Record<Finalist['merits'][number], string>> = {
  lightest: 'the lightest that does it',
  slimmest: 'the slimmest',
  fastest: 'the fastest',
  nearest: 'the nearest to what was asked',
  inStores: 'the lightest from the stores',
  between: 'a step between',
}
const ANY = 'any'
const SPLASH_CHOICES = [
  { id: ANY, name: 'any splash' },
  ...SPLASHES.slice(0, -1).map((word) => ({ id: word, name: `at most: ${wording.splashWord[word]}` })),
]
const LEADER_MM = 3600
/** Height of the stones of a usual bed, mm. */
const STONES_MM = 60
const LINE = { diameterMm: 0.13, densityMgPerMm3: 1.13, lengthMm: LEADER_MM }

interface FindWeightingProps {
  readonly draft: Draft
  readonly chosen: DraftVariant
  readonly book: MaterialBook
  readonly calibration: Calibration
  readonly onChange: ChangeDraft
  readonly onChoose: (id: string) => void
}

/** The draft with a variant that is weighted as found; bead or wire join the dressing where it had none. */
function withFound(
  draft: Draft,
  chosen: DraftVariant,
  { weighting }: Finalist,
  { drawers }: Searchable,
  book: MaterialBook,
): { readonly edit: Partial<Draft>; readonly id: string } {
  const dressing = { components: draft.components, steps: draft.steps }
  const { added, ...keys } = weightable(dressing, weighting.hook.id)
  const used = { [keys.beadKey]: weighting.bead, [keys.wireKey]: weighting.wire }
  const joined = added.flatMap((component) => {
    const material = used[component.key]
    return material
      ? [
          {
            ...component,
            materialId: material.id,
            ...(component.kind === 'wire' ? { turns: weighting.turns } : {}),
          },
        ]
      : []
  })
  const components = [...joined, ...draft.components]
  const left = new Set(components.map(({ key }) => key))
  const swaps = swapsFor(dressing, chosen.swaps, weighting, keys).filter(({ componentKey }) =>
    left.has(componentKey),
  )
  const omitted = joined.map(({ key }) => ({ componentKey: key, omit: true }))
  const newDrawers = [weighting.hook, weighting.bead, weighting.wire].flatMap(
    (material) => (material && drawers.get(material.id)) ?? [],
  )
  const materials = new Map(book.materials)
  for (const material of [weighting.hook, weighting.bead, weighting.wire]) {
    if (material) materials.set(material.id, material)
  }
  const variant = {
    ...chosen,
    id: newId<string>(),
    hookMaterialId: weighting.hook.id,
    swaps,
    parCount: null,
    homeCompartmentId: null,
  }
  const next = { ...draft, components }
  const turns = weighting.wire && weighting.turns > 0 ? `${weighting.turns} t` : ''
  return {
    id: variant.id,
    edit: {
      components,
      newDrawers: [...draft.newDrawers, ...newDrawers],
      variants: [
        ...draft.variants.map((other) => ({ ...other, swaps: [...other.swaps, ...omitted] })),
        { ...variant, label: labelFor(next, variant, materials, turns) },
      ],
    },
  }
}

function useChoice() {
  const [choice, setChoice] = useState<OfferChoice>({
    noLead: true,
    noTungsten: false,
    onlyStores: false,
    otherSizes: true,
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
      {tick('bodies', 'thinner and thicker bodies')}
      {tick('onlyStores', 'only what is in the stores')}
      {tick('noLead', 'no lead')}
      {tick('noTungsten', 'no tungsten')}
    </Row>
  )
  return { choice, fields }
}

/** Backwards: from the depth that is wanted and the time there is to the weightings that get there. */
export default function FindWeighting({
  draft,
  chosen,
  book,
  calibration,
  onChange,
  onChoose,
}: FindWeightingProps) {
  const moment = useMoment()
  const { units, temperature, mass, depth } = useWording()
  const [depthText, setDepthText] = useState(() => String(fromCore(2000, units.depth).toFixed(1)))
  const [secondsText, setSecondsText] = useState('6')
  const [tempText, setTempText] = useState<string | null>(null)
  const [splash, setSplash] = useState<string>(ANY)
  const [leadText, setLeadText] = useState(() => String(fromCore(2000, units.depth).toFixed(1)))
  const [asked, setAsked] = useState<'depthByTime' | 'lead'>('depthByTime')
  const { choice, fields } = useChoice()
  const hook = book.materials.get(chosen.hookMaterialId)
  const searchable = useOffers(book, hook, choice)
  const { finding, start, halt } = useFinder()
  const deep = parseQuantity(depthText, 'length', units.depth, { min: 100, max: 10_000 })
  const seconds = Number(secondsText.replace(',', '.'))
  const secondsFault = seconds > 0.2 && seconds <= 120 ? undefined : 'Between 0.2 and 120 s.'
  const shownTemp = tempText ?? temperature(moment?.waterTempC ?? 10)
  const temp = parseQuantity(shownTemp, 'temperature', units.temperature, { min: 0, max: 30 })
  const lead = parseQuantity(leadText, 'length', units.depth, { min: 100, max: 30_000 })
  const surfaceMmPerS = moment?.reach.surfaceSpeedMmPerS ?? 0
  const byLead = asked === 'lead' && surfaceMmPerS > 0
  const wanted: Wanted | null =
    deep.kind !== 'quantity'
      ? null
      : byLead
        ? lead.kind === 'quantity'
          ? {
              kind: 'lead',
              depthMm: deep.value,
              leadMm: lead.value,
              current: { depthMm: deep.value, surfaceMmPerS, roughnessMm: STONES_MM },
            }
          : null
        : secondsFault
          ? null
          : { kind: 'depthByTime', depthMm: deep.value, withinS: seconds }
  const ready = searchable && wanted && temp.kind === 'quantity'
  const search = () => {
    if (!ready) return
    void start({
      dressing: { components: draft.components, steps: draft.steps },
      variant: chosen,
      materials: book.materials,
      offers: searchable.offers,
      wanted,
      conditions: { waterTempC: temp.value, tippet: LINE, wet: 'fresh', filmTreatment: 'none' },
      calibration,
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
  const unclear = (parsed: typeof deep) =>
    parsed.kind === 'unclear' ? wording.unclearSentence(parsed.code, parsed.suggestions) : undefined
  return (
    <form
      aria-label="Find a weighting"
      onSubmit={(event) => {
        event.preventDefault()
        search()
      }}
    >
      <Row $align="start">
        <TextField
          label={`Down to, ${units.depth}`}
          value={depthText}
          onChange={setDepthText}
          width="100px"
          fault={unclear(deep)}
        />
        {surfaceMmPerS > 0 ? (
          <Select
            label="and it has"
            value={asked}
            choices={[
              { id: 'depthByTime', name: 'so many seconds' },
              { id: 'lead', name: `so much lead on ${moment?.reach.reachName ?? ''}` },
            ]}
            onChange={(id) => setAsked(id as typeof asked)}
            width="210px"
          />
        ) : null}
        {byLead ? (
          <TextField
            label={`lead, ${units.depth}`}
            value={leadText}
            onChange={setLeadText}
            width="100px"
            fault={unclear(lead)}
          />
        ) : (
          <TextField
            label="within, s"
            value={secondsText}
            onChange={setSecondsText}
            width="100px"
            fault={secondsFault}
          />
        )}
        <TextField
          label={`in water of, ${units.temperature}`}
          value={shownTemp}
          onChange={setTempText}
          width="110px"
          fault={unclear(temp)}
        />
        <Select label="and it may" value={splash} choices={SPLASH_CHOICES} onChange={setSplash} width="200px" />
      </Row>
      {fields}
      <Row>
        <Button type="submit" look="main" isDisabled={!ready || finding.busy}>
          Find weightings
        </Button>
        {finding.busy ? <Button onPress={halt}>Stop</Button> : null}
        <Quiet>The line is 0.13 mm on a leader of 3.6 m, trailing as it sinks.</Quiet>
      </Row>
      <Results
        few={finding.few}
        busy={finding.busy}
        looked={finding.looked}
        limitS={byLead ? null : seconds}
        massText={mass}
        depthText={depth}
        onMake={make}
      />
    </form>
  )
}

interface ResultsProps {
  readonly few: readonly Finalist[] | null
  readonly busy: boolean
  readonly looked: number
  readonly limitS: number | null
  readonly massText: (mg: number) => string
  readonly depthText: (mm: number) => string
  readonly onMake: (finalist: Finalist) => void
}

function Results({ few, busy, looked, limitS, massText, depthText, onMake }: ResultsProps) {
  const rows = useMemo(() => few ?? [], [few])
  if (!few) return null
  if (rows.length === 0) {
    return busy ? null : (
      <p role="status">
        None of {looked.toLocaleString('en')} ways does this. Allow more time or lead, a larger hook or more
        splash.
      </p>
    )
  }
  return (
    <>
      <p role="status" style={{ padding: '6px 0' }}>
        {busy
          ? 'The best so far.'
          : `The best of ${looked.toLocaleString('en')} ways: none of these beats another in everything.`}
      </p>
      <Suspense fallback={<p aria-busy="true">Drawing the trade-off …</p>}>
        <TradeChart few={rows} limitS={limitS} />
      </Suspense>
      <Dense aria-label="Weightings found">
        <thead>
          <tr>
            <th className="number">no.</th>
            <th>hook</th>
            <th>bead</th>
            <th>wire</th>
            <th className="number">down in</th>
            {limitS === null ? <th className="number">lead</th> : null}
            <th className="number">weighs</th>
            <th className="number">bulk</th>
            <th>stores</th>
            <th>why</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {rows.map((finalist, i) => {
            const { hook, bead, wire, turns, bulk } = finalist.weighting
            const metal = bead?.family.name.split(/ (alloy )?bead/)[0]
            return (
              <tr key={[hook.id, bead?.id, wire?.id, turns, bulk].join(' ')}>
                <td className="number">{i + 1}</td>
                <td>#{hook.sizeKey}</td>
                <td>{bead ? `${metal} ${wording.beadSize(Number(bead.sizeKey))}` : 'none'}</td>
                <td>
                  {wire && turns > 0
                    ? `${turns} turns ${wire.family.name.toLowerCase()} ${wire.sizeKey}`
                    : 'none'}
                </td>
                <td className="number">
                  {wording.seconds(finalist.timeS)}
                  <br />
                  <Quiet>
                    {finalist.low.toFixed(1)}–{finalist.high.toFixed(1)}
                  </Quiet>
                </td>
                {limitS === null ? (
                  <td className="number">{finalist.leadMm === null ? '–' : depthText(finalist.leadMm)}</td>
                ) : null}
                <td className="number">{massText(finalist.massMg)}</td>
                <td className="number">{finalist.bulkIndex.toFixed(2)}</td>
                <td>{finalist.inStores ? 'has it' : 'lacks it'}</td>
                <td>
                  {finalist.merits.map((merit) => MERITS[merit]).join(', ')}
                  {bulk === null ? '' : `; body bulk ${bulk}`}
                </td>
                <td>
                  <Button onPress={() => onMake(finalist)} aria-label={`Make a variant of no. ${i + 1}`}>
                    Make a variant
                  </Button>
                </td>
              </tr>
            )
          })}
        </tbody>
      </Dense>
    </>
  )
}
