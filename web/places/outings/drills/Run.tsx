import { useEffect, useRef, useState } from 'react'
import { v7 } from 'uuid'
import { drill, wording } from '../../../../core/index.ts'
import type { CommandInput, DrillAnswerId } from '../../../../contract/index.ts'
import { Button } from '../../../ui/Button.tsx'
import { Quiet, Row, Section } from '../../../ui/layout.tsx'
import { useCommand } from '../../../wire/useCommand.ts'
import { drillTitle, labels } from '../../../words/drills.ts'
import { nextAsked } from './asked.tsx'
import type { Asked, DrilledFrom } from './asked.tsx'

const LASTS_MS = 180_000
type Answer = CommandInput<'drillDone'>['answers'][number]

interface RunProps {
  readonly drillKey: drill.Drill
  readonly from: DrilledFrom
  readonly onDone: () => void
}

/** Keeps what was answered when the drill ends, and when it or the page is left by another way. */
function useKeeping(drillKey: drill.Drill) {
  const command = useCommand()
  const answers = useRef<Answer[]>([])
  const keep = useRef(() => undefined as void)
  useEffect(() => {
    keep.current = () => {
      const kept = answers.current
      answers.current = []
      if (kept.length > 0) void command('drillDone', { drill: drillKey, answers: kept })
    }
  })
  useEffect(() => {
    const leave = () => keep.current()
    window.addEventListener('pagehide', leave)
    return () => {
      window.removeEventListener('pagehide', leave)
      leave()
    }
  }, [])
  return { answers, keep }
}

function Ended({ missed, count, onDone }: { readonly missed: readonly string[]; readonly count: number; readonly onDone: () => void }) {
  return (
    <div role="status">
      <p>{count === 0 ? labels.nothingAnswered : missed.length === 0 ? labels.nothingMissed : labels.missed}</p>
      <ul>
        {missed.map((about) => (
          <li key={about}>{about}</li>
        ))}
      </ul>
      <Button look="main" large autoFocus onPress={onDone}>
        {labels.drills}
      </Button>
    </div>
  )
} // prettier-ignore

/** One drill: question after question for three minutes, each with its reason. */
export function Run({ drillKey, from, onDone }: RunProps) {
  const { answers, keep } = useKeeping(drillKey)
  const given = useRef<Answer[]>([])
  const [until] = useState(() => Date.now() + LASTS_MS)
  const [missed, setMissed] = useState<ReadonlyMap<string, string>>(new Map())
  const before = from.view.standings[drillKey] ?? []
  const draw = (): Asked | null => {
    const now = drill.standingsOf(given.current)
    const fresh = new Set(now.map(({ subject }) => subject))
    const standings = [...before.filter(({ subject }) => !fresh.has(subject)), ...now]
    return nextAsked(Math.random, drillKey, from, { standings, asked: given.current.map(({ subject }) => subject) })
  }
  const [asked, setAsked] = useState(() => nextAsked(Math.random, drillKey, from, { standings: before, asked: [] })) // prettier-ignore
  const [chosen, setChosen] = useState<number | null>(null)
  const [isEnded, setEnded] = useState(false)
  const [nowMs, setNowMs] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), 1000)
    return () => clearInterval(timer)
  }, [])
  const isLast = nowMs >= until
  const end = () => {
    keep.current()
    setEnded(true)
  }
  const answer = (choice: number) => {
    if (!asked || chosen !== null) return
    const isRight = choice === asked.right
    const one = { id: v7() as DrillAnswerId, subject: asked.subject, atMs: Date.now(), isRight }
    given.current.push(one)
    answers.current.push(one)
    if (!isRight) setMissed(new Map([...missed, [asked.subject, asked.about]]))
    setChosen(choice)
  }
  const next = () => {
    const drawn = isLast ? null : draw()
    setChosen(null)
    if (drawn) setAsked(drawn)
    else end()
  }
  const left = Math.max(Math.ceil((until - nowMs) / 1000), 0)
  return (
    <Section aria-label={wording.drillName[drillKey]}>
      <Row>
        <h2>{drillTitle(drillKey)}</h2>
        {isEnded ? null : (
          <>
            <Quiet>
              {isLast ? labels.timeIsUp : `${labels.timeLeft} ${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`}
            </Quiet>
            <Button look="quiet" onPress={end}>
              {labels.stop}
            </Button>
          </>
        )}
      </Row>
      {isEnded || !asked ? (
        <Ended missed={[...missed.values()]} count={given.current.length} onDone={onDone} />
      ) : (
        <>
          <p style={{ fontSize: '1.125rem' }}>{asked.ask}</p>
          <div style={{ minHeight: 60 }}>{asked.picture}</div>
          <div role="group" aria-label={labels.answers} key={`${asked.subject} ${given.current.length}`} style={{ display: 'grid', gap: 8, maxWidth: 520 }}>
            {asked.choices.map((name, i) => (
              <Button key={i} large isDisabled={chosen !== null} aria-pressed={chosen === i} onPress={() => answer(i)} autoFocus={i === 0 && chosen === null}>
                {chosen !== null && i === asked.right ? <strong>{name} ✓</strong> : name}
              </Button>
            ))}
          </div>
          {chosen === null ? null : (
            <>
              <p role="status">
                <strong>{chosen === asked.right ? labels.right : labels.notSo}</strong> {asked.why}
              </p>
              <Button look="main" large autoFocus onPress={next}>
                {labels.next}
              </Button>
            </>
          )}
        </>
      )}
    </Section>
  )
} // prettier-ignore
