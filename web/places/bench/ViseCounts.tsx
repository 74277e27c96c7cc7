import { useState } from 'react'
import type { BenchView } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Row } from '../../ui/layout.tsx'
import { SpoiledWhy } from './SpoiledWhy.tsx'
import type { useViseActions } from './useViseActions.ts'
import { labels } from '../../words/bench.ts'

interface ViseCountsProps {
  readonly vise: NonNullable<BenchView['onVise']>
  readonly actions: ReturnType<typeof useViseActions>
  /** flies that are still to be tied */
  readonly left: number
  readonly onFinish: (abandon: boolean) => void
}

/** Counting, and the ways out of a batch: finish it, leave it, tie it by stations. */
export function ViseCounts({ vise, actions, left, onFinish }: ViseCountsProps) {
  const { batch } = vise
  const [leaving, setLeaving] = useState(false)
  return (
    <>
      <Row>
        <span style={{ fontSize: '1.5rem' }} data-testid="count">
          <span className="figures">{actions.doneCount}</span> of{' '}
          <span className="figures">{batch.planned}</span> done
          {actions.spoiledCount > 0 ? `, ${actions.spoiledCount} spoiled` : ''}
        </span>
        <Button large onPress={actions.done} isDisabled={actions.isWhole && !actions.station}>
          {actions.station ? 'One through' : 'Count one done'}
        </Button>
        <Button large onPress={actions.spoiled}>
          {labels.oneSpoiled}
        </Button>
        <Button large onPress={actions.pause}>
          {vise.paused ? 'Go on' : 'Pause'}
        </Button>
      </Row>
      {actions.spoiledId ? <SpoiledWhy onSay={actions.say} /> : null}
      <Row style={{ paddingTop: 10 }}>
        <Button
          large
          look={left <= 0 ? 'main' : 'plain'}
          onPress={() => onFinish(false)}
          isDisabled={actions.doneCount === 0}
        >
          Finish: {actions.doneCount} into {batch.compartmentLabel}
        </Button>
        {leaving ? (
          <>
            <span>{labels.leaveThisBatchWhat}</span>
            <Button large onPress={() => onFinish(true)}>
              {labels.leaveIt}
            </Button>
            <Button large onPress={() => setLeaving(false)}>
              {labels.goOnTying}
            </Button>
          </>
        ) : (
          <Button large look="quiet" onPress={() => setLeaving(true)}>
            {labels.leaveTheBatch}
          </Button>
        )}
        <Button
          large
          look="quiet"
          onPress={() => actions.setWay(vise.way === 'stations' ? 'flyByFly' : 'stations')}
        >
          {vise.way === 'stations' ? 'One at a time instead' : 'By stations instead'}
        </Button>
      </Row>
    </>
  )
}
