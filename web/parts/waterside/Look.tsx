import { memo, useCallback } from 'react'
import styled from 'styled-components'
import { waterside } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels, SIGN_GROUP } from '../../words/waterside.ts'
import { Sample } from './Sample.tsx'
import { Temperatures } from './Temperatures.tsx'
import { useClock } from './useWaterside.ts'
import type { AtTheWater } from './useWaterside.ts'

const WATCH_S = 300

const Signs = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(340px, 100%), 1fr));
  gap: 6px 16px;
`
const Pair = styled.li`
  display: flex;
  gap: 6px;
  align-items: stretch;
  > button:first-child {
    flex: 1;
    justify-content: flex-start;
    text-align: left;
    white-space: normal;
    line-height: 1.25;
  }
  > button:last-child {
    font-size: 0.9375rem;
    padding: 4px 10px;
  }
`

/** How long is left of the five minutes, or that it is enough. */
function Watch({ standing, note }: AtTheWater) {
  const nowMs = useClock(1000)
  const since = standing.watchingSinceMs
  const left = since === null ? WATCH_S : Math.max(WATCH_S - Math.floor((nowMs - since) / 1000), 0)
  const clock = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`
  return (
    <Row>
      <h2>{labels.watchFirst}</h2>
      <span className="figures" role="timer" style={{ fontSize: '1.5rem' }}>
        {clock}
      </span>
      <Button large look={since === null ? 'main' : 'plain'} onPress={() => note({ kind: 'watch' })}>
        {since === null ? labels.startWatching : labels.watchAnew}
      </Button>
      <Quiet>{since !== null && left === 0 ? labels.watchedEnough : labels.watchWhy}</Quiet>
    </Row>
  )
}

/** A sign, and what was said of it. There are many of them: only what a tap changes is drawn anew. */
const SignTaps = memo(function SignTaps({
  sign: { key, text, where },
  seen,
  onSay,
}: {
  readonly sign: waterside.Sign
  /** null where it was not looked for */
  readonly seen: boolean | null
  readonly onSay: (signKey: string, seen: boolean | null) => void
}) {
  const toggle = (to: boolean) => onSay(key, seen === to ? null : to)
  return (
    <Pair>
      <Button large aria-pressed={seen === true} onPress={() => toggle(true)}>
        {text}
      </Button>
      <Button
        large
        aria-label={`${text}: ${labels.none}. ${where}`}
        aria-pressed={seen === false}
        onPress={() => toggle(false)}
      >
        {labels.none}
      </Button>
    </Pair>
  )
})

/** Signs to tick while one watches: seen, or looked for in vain. */
export function Look({ at, half }: { readonly at: AtTheWater; readonly half: number }) {
  const { standing, note } = at
  const say = useCallback(
    (signKey: string, seen: boolean | null) => note({ kind: 'sign', signKey, seen }),
    [note],
  )
  return (
    <>
      <Section>
        <Watch {...at} />
        <Row style={{ paddingTop: 8 }}>
          <Temperatures at={at} half={half} />
        </Row>
      </Section>
      {waterside.SIGN_GROUPS.map((group) => (
        <Section key={group} aria-label={SIGN_GROUP[group]}>
          <h2>{SIGN_GROUP[group]}</h2>
          <Signs>
            {waterside.SIGNS.filter((sign) => sign.group === group).map((sign) => (
              <SignTaps key={sign.key} sign={sign} seen={standing.looked.get(sign.key) ?? null} onSay={say} />
            ))}
          </Signs>
        </Section>
      ))}
      <Sample {...at} />
    </>
  )
}
