import { useMemo, useState } from 'react'
import { fromCore, hookOf, parseQuantity, sketchOf, wording } from '../../../core/index.ts'
import type { Material, Property } from '../../../core/index.ts'
import type { MaterialLine } from '../../../contract/index.ts'
import { within } from '../../../contract/limits.ts'
import { useFamilyQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useWording } from '../../words/useWording.ts'
import { FlyDrawing } from '../../drawing/FlyDrawing.tsx'
import { useTrueSize } from '../../drawing/trueSize.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/stores.ts'

const MEASURES = [
  { name: 'shankMm', label: 'Shank', ...within('shankMm'), stepMm: 0.1 },
  { name: 'gapeMm', label: 'Gape', ...within('gapeMm'), stepMm: 0.1 },
  { name: 'wireMm', label: 'Wire', ...within('wireMm'), stepMm: 0.01 },
] as const
type Measure = (typeof MEASURES)[number]['name']

/** A hook laid on the screen and matched against its drawing, or measured with a calliper. */
export function MeasuredHook({ line }: { readonly line: MaterialLine }) {
  const { data: family } = useFamilyQuery(line.familyId)
  const command = useCommand()
  const { units, mass } = useWording()
  const pxPerMm = useTrueSize()
  const unit = units.smallLength
  const [texts, setTexts] = useState<Readonly<Partial<Record<Measure, string>>>>({})
  const usual = useMemo(() => (family ? hookOf({ ...line, family, overrides: {} }) : null), [family, line])
  if (!family || !usual) return null

  const shownMm = (name: Measure) => line.overrides[name]?.value ?? usual[name]
  const inUnit = (mm: number) => fromCore(mm, unit).toFixed(unit === 'mm' ? 2 : 3)
  const read = MEASURES.map(({ name, min, max }) => {
    const text = texts[name] ?? inUnit(shownMm(name))
    return { name, text, parsed: parseQuantity(text, 'length', unit, { min, max }) }
  })
  const overrides = Object.fromEntries(
    read.flatMap(({ name, parsed }): [string, Property][] =>
      parsed.kind === 'quantity'
        ? [[name, { value: parsed.value, low: parsed.value, high: parsed.value, evidence: 'entered' }]]
        : [],
    ),
  )
  const drawn: Material = { ...line, family, overrides }
  const hook = hookOf(drawn)
  const step = (name: Measure, byMm: number) => {
    const parsed = read.find((measure) => measure.name === name)?.parsed
    if (parsed?.kind === 'quantity') setTexts({ ...texts, [name]: inUnit(parsed.value + byMm) })
  }
  const keep = (measures: Readonly<Record<Measure, number | null>>) => {
    setTexts({})
    return command('hookMeasure', { materialId: line.id, version: line.version, ...measures })
  }
  const ready = read.every(({ parsed }) => parsed.kind === 'quantity')
  const measured = Object.keys(line.overrides).length > 0
  const valueOf = (name: Measure) => {
    // what was not touched stays as the size has it
    const found = read.find((measure) => measure.name === name)?.parsed
    const touched = texts[name] !== undefined || line.overrides[name] !== undefined
    return touched && found?.kind === 'quantity' ? found.value : null
  }
  return (
    <Section aria-label={labels.measuredHook}>
      <h2>{labels.thisHookMeasured}</h2>
      <p>
        Lay a hook on the drawing, point down, and step each measure until they agree; or measure it with a
        calliper. <Quiet>{labels.needsTheScreenSet}</Quiet>
      </p>
      {hook ? (
        <div style={{ padding: '10px 0' }}>
          <FlyDrawing
            sketch={sketchOf({ hook, hookMaterial: drawn, components: [] })}
            pxPerMm={pxPerMm}
            title={labels.theHookAtTrue}
          />
        </div>
      ) : null}
      <Row $align="start">
        {MEASURES.map(({ name, label, stepMm }) => {
          const { text, parsed } = read.find((measure) => measure.name === name) ?? { text: '', parsed: null }
          return (
            <Row key={name} $gap={4} $align="end">
              <TextField
                label={`${label}, ${unit}`}
                value={text}
                onChange={(typed) => setTexts({ ...texts, [name]: typed })}
                width="90px"
                fault={
                  parsed?.kind === 'unclear'
                    ? wording.unclearSentence(parsed.code, parsed.suggestions)
                    : undefined
                }
              />
              <Button aria-label={`${label}: less`} onPress={() => step(name, -stepMm)}>
                −
              </Button>
              <Button aria-label={`${label}: more`} onPress={() => step(name, stepMm)}>
                +
              </Button>
            </Row>
          )
        })}
      </Row>
      <Row style={{ paddingTop: 10 }}>
        <Button
          look="main"
          isDisabled={!ready || Object.keys(texts).length === 0}
          onPress={() =>
            void keep({ shankMm: valueOf('shankMm'), gapeMm: valueOf('gapeMm'), wireMm: valueOf('wireMm') })
          }
        >
          {labels.keepTheseMeasures}
        </Button>
        <Button isDisabled={!measured} onPress={() => void keep({ shankMm: null, gapeMm: null, wireMm: null })}>
          {labels.takeThemBack}
        </Button>
        <Quiet>
          {hook ? `It should weigh ${mass(hook.massMg)}; ` : ''}a usual one of this size {mass(usual.massMg)}.{' '}
          {measured ? 'Measured by you.' : 'By its size: makers differ.'}
        </Quiet>
      </Row>
    </Section>
  )
}
