import { useState } from 'react'
import { within } from '../../../contract/limits.ts'
import { takesAnHour, wording } from '../../../core/index.ts'
import type { OutingLine, PatternsView } from '../../../contract/index.ts'
import { usePatternsQuery, useRigsQuery } from '../../wire/answers.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Select } from '../../ui/Select.tsx'
import { Dense, Fault, Quiet, Row, Section } from '../../ui/layout.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { labels } from '../../words/outings.ts'

const MOST_TRUSTED = 8
const rate = (value: number) => value.toFixed(1)

const flyChoices = (data: PatternsView | undefined) =>
  (data?.patterns ?? []).flatMap(({ name, variants }) =>
    variants.map(({ id, label }) => ({ id: id as string, name: `${name} ${label}` })),
  )

const NO_RIG = 'none'

/** A fly, how long it was fished on which rig, and what came of it. */
function NoteSpell({ outing, onDone }: { readonly outing: OutingLine; readonly onDone: () => void }) {
  const { data } = usePatternsQuery()
  const { data: rigs } = useRigsQuery()
  const command = useCommand()
  const [rig, setRig] = useState<string>(NO_RIG)
  const [fly, setFly] = useState<string | null>(null)
  const [minutes, setMinutes] = useState<number | null>(60)
  const [takes, setTakes] = useState<number | null>(0)
  const [refusals, setRefusals] = useState<number | null>(0)
  const [refused, setRefused] = useState<string | null>(null)
  const save = async () => {
    const variantId = data?.patterns.flatMap(({ variants }) => variants).find(({ id }) => id === fly)?.id
    if (!variantId || minutes === null || takes === null || refusals === null) {
      setRefused('Choose a fly, and say how many minutes it was fished.')
      return
    }
    const rigId = rigs?.rigs.find(({ id }) => id === rig)?.id ?? null
    const delivery = await command(
      'spellSave',
      { spellId: newId(), version: null, outingId: outing.id, variantId, rigId, minutes, takes, refusals },
      { quietly: true },
    )
    if (delivery.kind === 'refused') setRefused(delivery.problem.detail)
    else onDone()
  }
  return (
    <div role="group" aria-label={labels.aFlyThatWas}>
      <Row $align="end">
        <Select label={labels.fly} value={fly} choices={flyChoices(data)} onChange={setFly} width="230px" />
        <Select
          label={labels.onRig}
          value={rig}
          choices={[{ id: NO_RIG, name: labels.notSaid }, ...(rigs?.rigs ?? [])]}
          onChange={setRig}
          width="190px"
        />
        <NumberField
          label={labels.minutes}
          value={minutes}
          {...within('spellMin')}
          onChange={setMinutes}
          onUnclear={() => setMinutes(null)}
        />
        <NumberField
          label={labels.takes}
          value={takes}
          {...within('takes')}
          onChange={setTakes}
          onUnclear={() => setTakes(null)}
        />
        <NumberField
          label={labels.refusals}
          value={refusals}
          {...within('takes')}
          onChange={setRefusals}
          onUnclear={() => setRefusals(null)}
        />
        <Button large look="main" onPress={() => void save()}>
          {labels.noteIt}
        </Button>
        <Button large onPress={onDone}>
          {labels.leaveIt}
        </Button>
      </Row>
      {refused ? <Fault>{refused}</Fault> : null}
    </div>
  )
}

/** The flies of an outing, with their minutes and takes; more can be noted. */
export function Fished({ outing }: { readonly outing: OutingLine }) {
  const [adding, setAdding] = useState(false)
  const command = useCommand()
  const { data: rigs } = useRigsQuery()
  const onRig = (id: string | null) => rigs?.rigs.find((rig) => rig.id === id)?.name
  return (
    <>
      {outing.spells.map(({ spellId, version, rigId, patternName, label, minutes, takes, refusals }) => (
        <p key={spellId}>
          {patternName} {label}: {wording.spellText({ minutes, takes, refusals })}
          {onRig(rigId) ? `, on ${onRig(rigId)}` : ''}.{' '}
          <Button
            look="quiet"
            aria-label={`Put the note of ${patternName} ${label} away`}
            onPress={() => void command('spellArchive', { spellId, version })}
          >
            {labels.putAway}
          </Button>
        </p>
      ))}
      {adding ? (
        <NoteSpell outing={outing} onDone={() => setAdding(false)} />
      ) : (
        <Button look="quiet" onPress={() => setAdding(true)}>
          {labels.noteAFlyThat}
        </Button>
      )}
    </>
  )
}

interface Trusted {
  readonly name: string
  readonly minutes: number
  readonly takes: number
}

function trustedFlies(outings: readonly OutingLine[]): readonly Trusted[] {
  const by = new Map<string, Trusted>()
  for (const { variantId, patternName, label, minutes, takes } of outings.flatMap(({ spells }) => spells)) {
    const before = by.get(variantId) ?? { name: `${patternName} ${label}`, minutes: 0, takes: 0 }
    by.set(variantId, { ...before, minutes: before.minutes + minutes, takes: before.takes + takes })
  }
  const least = ({ takes, minutes }: Trusted) => takesAnHour(takes, minutes).low
  return [...by.values()].sort((a, b) => least(b) - least(a)).slice(0, MOST_TRUSTED)
}

/** Flies by what they took, the surest first: a fly that was fished long counts for more than a lucky one. */
export function MostTrusted({ outings }: { readonly outings: readonly OutingLine[] }) {
  const flies = trustedFlies(outings)
  if (flies.length === 0) return null
  return (
    <Section aria-label={labels.mostTrusted}>
      <h2>
        Most trusted <Quiet>{labels.byTheTakesAn}</Quiet>
      </h2>
      <Dense aria-label={labels.takesAnHour} style={{ width: 'auto' }}>
        <thead>
          <tr>
            <th>{labels.fly2}</th>
            <th className="number">{labels.hours}</th>
            <th className="number">{labels.takes2}</th>
            <th className="number">{labels.takesAnHour2}</th>
          </tr>
        </thead>
        <tbody>
          {flies.map(({ name, minutes, takes }) => {
            const { value, low, high } = takesAnHour(takes, minutes)
            return (
              <tr key={name}>
                <td>{name}</td>
                <td className="number">{(minutes / 60).toFixed(1)}</td>
                <td className="number">{takes}</td>
                <td className="number">
                  {rate(value)} <Quiet>{`likely ${rate(low)}–${rate(high)}`}</Quiet>
                </td>
              </tr>
            )
          })}
        </tbody>
      </Dense>
    </Section>
  )
}
