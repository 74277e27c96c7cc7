import { waterside, wording } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Section } from '../../ui/layout.tsx'
import { labels } from '../../words/waterside.ts'
import { useMeans } from './means.ts'
import { Taps } from './Taps.tsx'
import type { AtTheWater } from './useWaterside.ts'

const ENDS: Readonly<Record<waterside.TakeEnd, string>> = {
  landed: labels.landed,
  cameOff: labels.cameOff,
  missed: labels.missed,
}
/** Lengths to choose from, mm: nobody measures nearer with a wet hand. */
const LENGTHS_MM = [150, 200, 250, 300, 350, 400, 450, 500, 600] as const

const count = (ends: readonly waterside.TakeEnd[], end: waterside.TakeEnd): string => {
  const n = ends.filter((one) => one === end).length
  return n > 0 ? ` ${n}` : ''
}

/** How a take ended, in one tap; how long a landed fish was, in a second one, if that is wanted. */
export function Took({ last, ends, note }: Pick<AtTheWater, 'last' | 'note'> & Pick<waterside.Fished, 'ends'>) {
  const { units } = useMeans()
  const isLanded = last?.kind === 'take' && last.end === 'landed' && last.lengthMm === null
  const measured = (lengthMm: number) => {
    if (!last) return
    note({ kind: 'undo', of: last.id })
    note({ kind: 'take', end: 'landed', lengthMm })
  }
  return (
    <Section aria-label={labels.aTake}>
      <h2>{labels.aTake}</h2>
      <Taps>
        {waterside.TAKE_ENDS.map((end) => (
          <Button key={end} large onPress={() => note({ kind: 'take', end, lengthMm: null })}>
            {ENDS[end]}
            {count(ends, end)}
          </Button>
        ))}
      </Taps>
      {isLanded ? (
        <div role="group" aria-label={labels.howLong}>
          <Quiet>{labels.howLong}</Quiet>
          <Taps $narrow>
            {LENGTHS_MM.map((mm) => (
              <Button key={mm} large onPress={() => measured(mm)}>
                {wording.cutLength(mm, units)}
              </Button>
            ))}
          </Taps>
        </div>
      ) : null}
    </Section>
  )
}
