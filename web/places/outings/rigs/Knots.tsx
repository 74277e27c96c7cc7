import { epochDayOf, weakestOf, wording } from '../../../../core/index.ts'
import type { RigPart, Worn } from '../../../../core/index.ts'
import type { RigLine } from '../../../../contract/index.ts'
import { Button } from '../../../ui/Button.tsx'
import { useFrameQuery } from '../../../wire/answers.ts'
import { useCommand } from '../../../wire/useCommand.ts'
import { labels } from '../../../words/rigs.ts'
import { useWording } from '../../../words/useWording.ts'
import { dayName } from '../../../words/words.ts'

/** What the weakest knot of a rig has been through by a day; null where nobody said when it was tied. */
export function wornBy(
  {
    knotsOn,
    fishedMin,
    parts,
  }: Pick<RigLine, 'knotsOn' | 'fishedMin'> & { readonly parts: readonly RigPart[] },
  today: string,
): Worn | null {
  const weakest = weakestOf(parts)
  if (knotsOn === null || !weakest) return null
  return { fishedMin, days: Math.max(epochDayOf(today) - epochDayOf(knotsOn), 0), stuff: weakest.stuff }
}

/** Which knot of a rig goes first, how far it is trusted by now, and when they were tied anew. */
export function Knots({ rig, parts }: { readonly rig: RigLine | null; readonly parts: readonly RigPart[] }) {
  const { units } = useWording()
  const command = useCommand()
  const { data: frame } = useFrameQuery()
  const weakest = weakestOf(parts)
  const worn = rig && frame ? wornBy({ ...rig, parts }, frame.today) : null
  return (
    <>
      <p>
        {wording.weakestSentence(weakest, units)}{' '}
        {weakest && rig
          ? rig.knotsOn !== null && worn
            ? wording.wornSentence(worn, dayName(rig.knotsOn))
            : labels.knotsNotSaid
          : null}
      </p>
      {rig && frame && rig.knotsOn !== frame.today ? (
        <Button
          onPress={() => void command('rigKnots', { rigId: rig.id, version: rig.version, on: frame.today })}
        >
          {labels.knotsToday}
        </Button>
      ) : null}
    </>
  )
}
