import { useState } from 'react'
import { firstDayOf, lastDayOf, peakDayOf } from '../../../core/index.ts'
import type { EmergenceWindow } from '../../../core/index.ts'
import type { ReachSeasonView, StageLine } from '../../../contract/index.ts'
import { useFrameQuery, useReachSeasonQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { Button } from '../../ui/Button.tsx'
import { Dense, Quiet, Section } from '../../ui/layout.tsx'
import { dayMonth } from '../../words/days.ts'
import { HowGood } from './HowGood.tsx'
import { NoteIt } from './NoteIt.tsx'
import { labels } from '../../words/larder.ts'
import { dateName } from '../../words/words.ts'

const KINDS: Readonly<Record<ReachSeasonView['observations'][number]['observation']['kind'], string>> = {
  firstSeen: 'the first seen',
  thick: 'thick',
  lastSeen: 'the last seen',
  absent: 'looked, none',
  counted: 'counted',
}

interface StageSeasonProps {
  readonly stage: StageLine
}

/** When a stage is about on the reach of the moment, how sure that is, and what the notes made of it. */
export function StageSeason({ stage }: StageSeasonProps) {
  const moment = useMoment()
  const { data } = useReachSeasonQuery(
    { reachId: moment?.reachId ?? '', on: moment?.on ?? '' },
    { skip: !moment },
  )
  const { data: frame } = useFrameQuery()
  const command = useCommand()
  const [changing, setChanging] = useState<string | null>(null)
  if (!moment || !data) return null
  const windows = data.windows.filter(({ after }) => after.stageKey === stage.id)
  const notes = data.observations.filter(({ observation }) => observation.foodStageId === stage.id)
  const names = new Map(frame?.reaches.map(({ reachId, reachName }) => [reachId, reachName]))
  const south = moment.reach.latitudeDeg < 0
  return (
    <Section aria-label={labels.whenItIsAbout}>
      <h2>
        When it is about at {moment.reach.reachName}{' '}
        <Quiet>
          ·{' '}
          {data.warmth.model.basis === 'readings'
            ? `by ${data.warmth.model.readingDays} days of readings`
            : data.warmth.model.basis === 'borrowed'
              ? 'by readings of other reaches'
              : 'your kind of water only; no reading yet'}
        </Quiet>
      </h2>
      {windows.length === 0 ? <p>{labels.itsMonthsSayWhen}</p> : null}
      {windows.map((learned) => (
        <div key={learned.after.brood} style={{ paddingBottom: 8 }}>
          <p>
            {stage.broods[learned.after.brood]?.name ? `${stage.broods[learned.after.brood]?.name}: ` : ''}
            <WindowWords window={learned.after} south={south} />
          </p>
          {learned.notes > 0 ? (
            <p>
              <Quiet>
                Without your notes: <WindowWords window={learned.before} south={south} />{' '}
                {Math.abs(learned.shiftDays) < 0.5
                  ? 'They leave it where it was.'
                  : `They move it ${Math.abs(learned.shiftDays).toFixed(0)} days ${learned.shiftDays > 0 ? 'later' : 'earlier'}.`}
              </Quiet>
            </p>
          ) : null}
        </div>
      ))}
      <HowGood key={`${stage.id} ${moment.reachId}`} stageId={stage.id} reachId={moment.reachId} />
      <NoteIt
        key={changing ?? 'new'}
        stageId={stage.id}
        reachId={moment.reach.reachId}
        on={moment.on}
        noted={notes.find(({ id }) => id === changing)}
        onDone={() => setChanging(null)}
      />
      {notes.length > 0 ? (
        <Dense aria-label={labels.notesOfIt} style={{ width: 'auto', marginTop: 8 }}>
          <tbody>
            {notes.map(({ id, version, observation }) => (
              <tr key={id}>
                <td>{dateName(observation.on)}</td>
                <td>{names.get(observation.reachId)}</td>
                <td>{KINDS[observation.kind]}</td>
                <td>
                  <Quiet>
                    {observation.effortMinutes ? `${observation.effortMinutes} min. ` : ''}
                    {observation.note}
                  </Quiet>
                </td>
                <td>
                  <Button
                    look="quiet"
                    aria-label={`Change the note of ${dateName(observation.on)}`}
                    onPress={() => setChanging(id)}
                  >
                    {labels.changeIt}
                  </Button>
                  <Button
                    look="quiet"
                    aria-label={`Put the note of ${dateName(observation.on)} away`}
                    onPress={() => void command('observationArchive', { observationId: id, version })}
                  >
                    {labels.putAway}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </Dense>
      ) : null}
    </Section>
  )
}

/** A window in words: `first between 12 and 30 May, thickest about 2 June, over by 18 June`. */
function WindowWords({ window, south }: { readonly window: EmergenceWindow; readonly south: boolean }) {
  const day = (dayOfYear: number) => dayMonth(dayOfYear, south)
  return (
    <>
      first between {day(window.onset[1] ?? 0)} and {day(window.onset[9] ?? 0)} (8 in 10), usually{' '}
      {day(firstDayOf(window))}; thickest about {day(peakDayOf(window))}, usually over by{' '}
      {day(lastDayOf(window))}.
      {window.noneShare > 0.05 ? ` ${Math.round(window.noneShare * 10)} years in 10 never bring it.` : ''}
    </>
  )
}
