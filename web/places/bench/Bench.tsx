import { Link } from 'react-router'
import type { BatchMention } from '../../../contract/index.ts'
import { useBenchQuery } from '../../wire/answers.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { NARROW, useColumn } from '../../column/marks.ts'
import { Button } from '../../ui/Button.tsx'
import { Heading, Quiet, Row, Section } from '../../ui/layout.tsx'
import { AtTheVise } from './AtTheVise.tsx'
import { CutList } from './CutList.tsx'
import { labels } from '../../words/bench.ts'

function BatchList({
  title,
  batches,
  children,
}: {
  readonly title: string
  readonly batches: readonly BatchMention[]
  readonly children?: (batch: BatchMention) => React.ReactNode
}) {
  if (batches.length === 0) return null
  return (
    <Section>
      <h2>{title}</h2>
      <ul>
        {batches.map((batch) => (
          <li key={batch.batchId} style={{ padding: '4px 0', borderBottom: '1px solid var(--rule)' }}>
            <Row>
              <span style={{ flex: 1 }}>
                {batch.status === 'planned' || batch.status === 'open' ? `${batch.planned} ` : `${batch.done} `}
                {batch.patternName} {batch.label}{' '}
                <Quiet>
                  into {batch.compartmentLabel}
                  {batch.spoiled > 0 ? `, ${batch.spoiled} spoiled` : ''}
                  {batch.status === 'abandoned' ? ', left' : ''}
                </Quiet>
              </span>
              {children?.(batch)}
            </Row>
          </li>
        ))}
      </ul>
    </Section>
  )
}

/** One step at a time, large, with the numbers for the hook at hand. */
export default function Bench() {
  const { data } = useBenchQuery()
  const command = useCommand()
  useColumn(NARROW)
  if (!data) return <p aria-busy="true">{labels.clearingTheBench}</p>
  return (
    <>
      <Heading>
        <h1>{labels.bench}</h1>
      </Heading>
      {data.onVise ? (
        <AtTheVise data={data} vise={data.onVise} />
      ) : (
        <p>
          The vise is empty. {data.queue.length > 0 ? 'Put the next one on it.' : 'Start a batch from '}
          {data.queue.length > 0 ? null : (
            <>
              <Link to="/">{labels.tonight}</Link>, <Link to="/boxes">{labels.boxes}</Link> or{' '}
              <Link to="/patterns">{labels.aPattern}</Link>.
            </>
          )}
        </p>
      )}
      {data.onVise ? null : <CutList data={data} />}
      <BatchList title={labels.waiting} batches={data.queue}>
        {(batch) => (
          <Button onPress={() => void command('batchOnVise', { batchId: batch.batchId })}>
            {labels.putOnTheVise}
          </Button>
        )}
      </BatchList>
      <BatchList title={labels.tiedLately} batches={data.done.slice(0, 6)} />
    </>
  )
}
