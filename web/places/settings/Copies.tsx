import { useState } from 'react'
import { RECORD_KINDS } from '../../../contract/views/backups.ts'
import { wording } from '../../../core/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Dense, Fault, Quiet, Row, Section } from '../../ui/layout.tsx'
import { useBackupPreviewQuery } from '../../wire/answers.ts'
import { api, useMakeBackupMutation } from '../../wire/api.ts'
import { daysBetween, instantName } from '../../words/instants.ts'
import { labels } from '../../words/settings.ts'
import { SecondFolder } from './SecondFolder.tsx'
import { useRestore } from './useRestore.ts'

/** What would change if a copy were put back, and putting it back. */
function Differences({
  name,
  zone,
  onLeave,
}: {
  readonly name: string
  readonly zone: string
  readonly onLeave: () => void
}) {
  const { data: preview, error } = useBackupPreviewQuery(name)
  const { restore, restoring } = useRestore()
  if (error) return <Fault role="alert">{(error as { data?: { detail?: string } }).data?.detail}</Fault>
  if (!preview) return null
  const differing = RECORD_KINDS.filter((kind) => preview.counts[kind].now !== preview.counts[kind].then)
  return (
    <div role="region" aria-label={labels.look} style={{ margin: '12px 0' }}>
      <p>{wording.lostSentence(preview.lostCount)}</p>
      {preview.lost.length > 0 ? (
        <ul>
          {preview.lost.map(({ label, atMs }, i) => (
            <li key={i}>
              {label} <Quiet>{instantName(atMs, zone)}</Quiet>
            </li>
          ))}
        </ul>
      ) : null}
      {differing.length > 0 ? (
        <Dense style={{ maxWidth: 420 }}>
          <thead>
            <tr>
              <th>{labels.kind}</th>
              <th className="figures">{labels.now}</th>
              <th className="figures">{labels.inTheCopy}</th>
            </tr>
          </thead>
          <tbody>
            {differing.map((kind) => (
              <tr key={kind}>
                <td>{labels.records[kind]}</td>
                <td className="figures">{preview.counts[kind].now}</td>
                <td className="figures">{preview.counts[kind].then}</td>
              </tr>
            ))}
          </tbody>
        </Dense>
      ) : null}
      <Row>
        <Button
          look="main"
          onPress={() => void restore(name).then(onLeave)}
          isDisabled={restoring || (differing.length === 0 && preview.lostCount === 0)}
        >
          {restoring ? labels.puttingBack : labels.putItBack}
        </Button>
        <Button onPress={onLeave} isDisabled={restoring}>
          {labels.leaveIt}
        </Button>
      </Row>
    </div>
  )
}

/** Copies of the database: how old the last is, making one, looking what one would change, putting it back. */
export function Copies({ zone, folder }: { readonly zone: string; readonly folder: string | null }) {
  const { data: copies, fulfilledTimeStamp = 0, refetch } = api.useBackupsQuery()
  const [make, { isLoading }] = useMakeBackupMutation()
  const [looked, setLooked] = useState<string | null>(null)
  if (!copies) return null
  const [last] = copies.backups
  return (
    <Section>
      <h2>{labels.copies}</h2>
      <p>
        {last
          ? `The last is of ${wording.copyAge(daysBetween(last.atMs, fulfilledTimeStamp, zone))}, ${wording.fileSize(last.sizeBytes)}. They lie in ${copies.folder}.`
          : labels.noCopyYet}
      </p>
      {copies.trouble ? <Fault role="alert">{copies.trouble}</Fault> : null}
      {copies.restored ? <p role="status">{copies.restored}</p> : null}
      <Row>
        <Button onPress={() => void make({}).then(refetch)} isDisabled={isLoading}>
          {labels.copyNow}
        </Button>
      </Row>
      {copies.backups.length > 0 ? (
        <Dense aria-label={labels.copies} style={{ maxWidth: 760 }}>
          <thead>
            <tr>
              <th>{labels.made}</th>
              <th>{labels.why}</th>
              <th className="figures">{labels.size}</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {copies.backups.map(({ name, atMs, reason, sizeBytes }) => (
              <tr key={name}>
                <td>{instantName(atMs, zone)}</td>
                <td>{wording.copyReason(reason)}</td>
                <td className="figures">{wording.fileSize(sizeBytes)}</td>
                <td>
                  <Button look="quiet" onPress={() => setLooked(name)}>
                    {labels.look}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </Dense>
      ) : null}
      {looked ? <Differences key={looked} name={looked} zone={zone} onLeave={() => setLooked(null)} /> : null}
      <SecondFolder folder={folder} />
    </Section>
  )
}
