import { useState } from 'react'
import { wording } from '../../../core/index.ts'
import type { OutingLine } from '../../../contract/index.ts'
import { useBoxesQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { dayName } from '../../words/words.ts'
import { Button } from '../../ui/Button.tsx'
import { Checkbox } from '../../ui/fields.tsx'
import { Select } from '../../ui/Select.tsx'
import { Fault, Heading, Quiet, Row } from '../../ui/layout.tsx'
import { goneOf, marked } from './gone.ts'
import type { Gone } from './gone.ts'
import { PocketOf } from './PocketOf.tsx'
import { labels } from '../../words/outings.ts'

/** The box as it was: tap what is missing, say once where it went. */
export function EmptyPockets({ outing, onDone }: { readonly outing: OutingLine; readonly onDone: () => void }) {
  const { data } = useBoxesQuery()
  const command = useCommand()
  const [gone, setGone] = useState<readonly Gone[]>([])
  const [cause, setCause] = useState<wording.LossCause>('bottom')
  const [fault, setFault] = useState<string | null>(null)
  const lost = gone.reduce((sum, { count }) => sum + count, 0)
  const save = async () => {
    const delivery = await command(
      'fliesLose',
      {
        outingId: outing.id,
        losses: gone.map((entry) => ({ ...entry, cause })) as Parameters<
          typeof command<'fliesLose'>
        >[1]['losses'],
      },
      { quietly: true },
    )
    if (delivery.kind === 'refused') return setFault(delivery.problem.detail)
    setGone([])
    setFault(null)
  }
  const finish = async () => {
    if (outing.status !== 'done') {
      const { id, version, waterId, reachId, on, fromLocalMin, toLocalMin, technique, alsoTechniques, note } =
        outing
      const delivery = await command('outingSave', {
        outingId: id,
        version,
        outing: {
          waterId,
          reachId,
          on,
          fromLocalMin,
          toLocalMin,
          technique,
          alsoTechniques,
          note,
          status: 'done',
        },
      })
      if (delivery.kind !== 'done') return
    }
    onDone()
  }
  const packedInto = new Set<string>(outing.packed.map(({ compartmentId }) => compartmentId))
  const [all, setAll] = useState(false)
  if (!data) return <p aria-busy="true">{labels.openingTheBoxes}</p>
  return (
    <>
      <Heading>
        <h1>
          Empty the pockets{' '}
          <Quiet>
            {dayName(outing.on)}, {outing.reachName ?? outing.waterName}
          </Quiet>
        </h1>
        <Button large onPress={() => void finish()} isDisabled={gone.length > 0}>
          {labels.done}
        </Button>
      </Heading>
      <p>{labels.tapWhatIsMissing}</p>
      <Row style={{ position: 'sticky', top: -14, padding: '8px 0', background: 'var(--ground)', zIndex: 2 }}>
        <strong>{lost === 0 ? 'Nothing marked' : `${wording.countInWords(lost)} gone`}</strong>
        <Select
          label={labels.whereTheyWent}
          hideLabel
          value={cause}
          choices={wording.LOSS_CAUSES.map((id) => ({ id, name: id }))}
          onChange={(id) => setCause(id as wording.LossCause)}
          width="130px"
        />
        <Button look="main" large onPress={() => void save()} isDisabled={lost === 0}>
          {labels.writeDownAsLost}
        </Button>
        {fault ? <Fault>{fault}</Fault> : null}
      </Row>
      {packedInto.size > 0 ? (
        <Checkbox isSelected={all} onChange={setAll}>
          {labels.showWhatWasNot}
        </Checkbox>
      ) : null}
      {outing.losses.length > 0 ? (
        <p>
          <Quiet>
            Written down:{' '}
            {outing.losses
              .map(({ count, patternName, label, cause: why }) => `${count} ${patternName} ${label} (${why})`)
              .join(', ')}
            .
          </Quiet>
        </p>
      ) : null}
      {data.boxes.map((box) =>
        box.compartments
          .filter(({ id }) => all || packedInto.size === 0 || packedInto.has(id))
          .filter(({ flies }) => flies.some(({ count }) => count > 0))
          .map((place) => (
            <PocketOf
              key={place.id}
              place={place}
              boxName={box.name}
              countOf={(variantId) => goneOf(gone, place.id, variantId)}
              onTap={(variantId, by) => setGone((before) => marked(before, place.id, variantId, by))}
            />
          )),
      )}
    </>
  )
}
