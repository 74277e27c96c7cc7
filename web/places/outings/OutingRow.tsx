import { Link, useNavigate } from 'react-router'
import type { OutingLine } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { useCommand } from '../../wire/useCommand.ts'
import { labels, waitsWords } from '../../words/outings.ts'
import { rulesSentence } from '../../words/rules.ts'
import { useWording } from '../../words/useWording.ts'
import { clockTime, dateName, techniquesInWords } from '../../words/words.ts'
import { Fished } from './Fished.tsx'

function Losses({ outing }: { readonly outing: OutingLine }) {
  if (outing.losses.length === 0) return <Quiet>{labels.nothingWrittenDownAs}</Quiet>
  return (
    <span>
      Lost:{' '}
      {outing.losses
        .map(({ count, patternName, label, cause }) => `${count} ${patternName} ${label} (${cause})`)
        .join(', ')}
      .
    </span>
  )
}

interface OutingActionsProps {
  readonly outing: OutingLine
  /** its day has come */
  readonly isDue: boolean
  readonly onEmpty: () => void
  readonly onPack: () => void
}

/** What can be done with an outing; the next step stands out. */
function OutingActions({ outing, isDue, onEmpty, onPack }: OutingActionsProps) {
  const navigate = useNavigate()
  const command = useCommand()
  const setStatus = (status: OutingLine['status']) =>
    void command('outingSave', {
      outingId: outing.id,
      version: outing.version,
      outing: {
        waterId: outing.waterId,
        reachId: outing.reachId,
        on: outing.on,
        fromLocalMin: outing.fromLocalMin,
        toLocalMin: outing.toLocalMin,
        technique: outing.technique,
        alsoTechniques: outing.alsoTechniques,
        note: outing.note,
        status,
      },
    })
  return (
    <Row $gap={6}>
      {outing.waits > 0 && isDue ? (
        <Button large look="main" onPress={() => void navigate(`/outings/${outing.id}?face=after`)}>
          {waitsWords(outing.waits)}
        </Button>
      ) : null}
      {outing.status === 'cancelled' ? (
        <Button large onPress={() => setStatus('planned')}>
          {labels.planItAgain}
        </Button>
      ) : (
        <Button
          large
          look={outing.status === 'planned' && isDue && outing.waits === 0 ? 'main' : 'plain'}
          onPress={onEmpty}
        >
          {labels.emptyThePockets}
        </Button>
      )}
      {outing.status === 'planned' ? (
        <Button large onPress={onPack}>
          {labels.pack}
        </Button>
      ) : null}
      {outing.packed.length > 0 ? (
        <Button large onPress={() => void command('outingUnpack', { outingId: outing.id })}>
          {labels.unpack}
        </Button>
      ) : null}
      {outing.status === 'planned' ? (
        <Button large look="quiet" onPress={() => setStatus('cancelled')}>
          {labels.callItOff}
        </Button>
      ) : null}
    </Row>
  )
}

/** An outing in the list. */
export function OutingRow({
  outing,
  onEmpty,
  onPack,
  isPast,
  isDue,
  onLook,
}: {
  readonly outing: OutingLine
  readonly onEmpty: () => void
  readonly onPack: () => void
  readonly isPast: boolean
  /** its day has come */
  readonly isDue: boolean
  /** it is pointed at, or something of it has the focus */
  readonly onLook?: (outing: OutingLine | null) => void
}) {
  const { units } = useWording()
  const where =
    outing.reachName && outing.reachName !== outing.waterName
      ? `${outing.waterName}, ${outing.reachName}`
      : outing.waterName
  return (
    <Section
      onMouseEnter={() => onLook?.(outing)}
      onMouseLeave={() => onLook?.(null)}
      onFocus={() => onLook?.(outing)}
      onBlur={() => onLook?.(null)}
    >
      <Row $align="start">
        <div style={{ flex: 1, minWidth: 260 }}>
          <h2>
            <Link to={`/outings/${outing.id}`}>{dateName(outing.on)}</Link>{' '}
            <Quiet>
              {outing.status === 'planned' ? (isPast ? 'planned, past' : 'planned') : outing.status}
            </Quiet>
          </h2>
          <p>
            {where}, {clockTime(outing.fromLocalMin)}–{clockTime(outing.toLocalMin)},{' '}
            {techniquesInWords([outing.technique, ...outing.alsoTechniques])}.
          </p>
          {outing.status === 'planned' ? (
            <Quiet>
              {rulesSentence(outing.rules, units)} The posted rule decides. Wade with a companion, not on a
              program’s word.
            </Quiet>
          ) : null}
          {outing.packed.length > 0 ? (
            <p>
              Packed into {outing.packed[0]?.compartmentLabel}:{' '}
              {outing.packed
                .map(({ count, patternName, label }) => `${count} ${patternName} ${label}`)
                .join(', ')}
              .
            </p>
          ) : null}
          {outing.note ? <p>{outing.note}</p> : null}
          {outing.status === 'done' ? (
            <>
              <p>
                <Losses outing={outing} />
              </p>
              <Fished outing={outing} />
            </>
          ) : null}
        </div>
        <OutingActions outing={outing} isDue={isDue} onEmpty={onEmpty} onPack={onPack} />
      </Row>
    </Section>
  )
}
