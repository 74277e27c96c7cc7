import type { BenchView } from '../../../contract/index.ts'
import { Photo } from '../../parts/Photo.tsx'
import { Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/bench.ts'

/** A picture of this batch, beside that of an earlier one. */
export function BatchPhotos({ vise }: { readonly vise: NonNullable<BenchView['onVise']> }) {
  const { batch } = vise
  return (
    <Row $align="start" $gap={20} style={{ paddingTop: 10 }}>
      <Photo
        subject="batch"
        subjectId={batch.batchId}
        photoId={vise.photoId}
        title={`${batch.patternName} ${batch.label}, this batch`}
        large
      />
      {vise.earlierPhotoId ? (
        <figure style={{ margin: 0 }}>
          <img
            src={`/api/photos/${vise.earlierPhotoId}`}
            alt={`${batch.patternName}, an earlier batch`}
            style={{ maxWidth: 260, maxHeight: 200, borderRadius: 6 }}
          />
          <figcaption>
            <Quiet>{labels.anEarlierBatch}</Quiet>
          </figcaption>
        </figure>
      ) : null}
    </Row>
  )
}
