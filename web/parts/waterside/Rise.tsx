import styled from 'styled-components'
import { waterside } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Quiet, Row, Section } from '../../ui/layout.tsx'
import { labels, rhythmSentence } from '../../words/waterside.ts'
import { Cruise } from './Cruise.tsx'
import { useClock } from './useWaterside.ts'
import type { AtTheWater } from './useWaterside.ts'

const Target = styled.div`
  display: grid;
  gap: 12px;
  > button:first-child {
    min-height: 180px;
    font-size: 1.75rem;
  }
  > button:nth-child(2) {
    min-height: 96px;
    font-size: 1.25rem;
  }
`

/** One fish: a tap as it rises, another as a natural passes, and when it rises next. */
export function Rise(at: AtTheWater) {
  const { standing, note } = at
  const nowMs = useClock(500)
  const { rises, naturals } = standing
  const rhythm = waterside.rhythmOf(rises, naturals)
  const sinceS = nowMs / 1000 - (rises.at(-1) ?? nowMs / 1000)
  return (
    <>
      <Section>
        <p role="status" style={{ fontSize: '1.25rem', minHeight: '3.5em' }}>
          {rhythmSentence(rhythm, sinceS)}
        </p>
        <Target>
          <Button large look="main" onPress={() => note({ kind: 'rise' })}>
            {labels.itRose}
          </Button>
          <Button large onPress={() => note({ kind: 'natural' })}>
            {labels.naturalPassed}
          </Button>
        </Target>
        <Row style={{ paddingTop: 12 }}>
          <Quiet>
            {rises.length} {labels.risesHeard}
          </Quiet>
          <Button large isDisabled={rises.length === 0} onPress={() => note({ kind: 'newFish' })}>
            {labels.anotherTarget}
          </Button>
        </Row>
      </Section>
      <Cruise {...at} />
    </>
  )
}
