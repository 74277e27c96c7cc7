import { useRef, useState } from 'react'
import type { BatchId, MaterialId, PhotoId } from '../../contract/index.ts'
import { toFailure, useTakePhotoMutation } from '../wire/api.ts'
import { useCommand } from '../wire/useCommand.ts'
import { Button } from '../ui/Button.tsx'
import { Fault, Row } from '../ui/layout.tsx'
import { labels } from '../words/parts.ts'

const LARGEST_BYTES = 8_000_000

interface PhotoProps {
  readonly subject: 'material' | 'batch'
  readonly subjectId: MaterialId | BatchId
  readonly photoId: PhotoId | null
  /** what the picture shows */
  readonly title: string
  readonly large?: boolean
}

/** A picture of a drawer or a batch: shown, taken, taken off. The server makes it small and drops what cameras add. */
export function Photo({ subject, subjectId, photoId, title, large = false }: PhotoProps) {
  const picker = useRef<HTMLInputElement>(null)
  const [takePhoto, { isLoading }] = useTakePhotoMutation()
  const command = useCommand()
  const [fault, setFault] = useState<string | null>(null)
  const attach = async (id: PhotoId | null) => {
    const delivery = await command('photoAttach', { subject, subjectId, photoId: id }, { quietly: true })
    setFault(delivery.kind === 'refused' ? delivery.problem.detail : null)
  }
  const pick = async (file: File | undefined) => {
    if (!file) return
    if (file.size > LARGEST_BYTES) {
      setFault('This picture has more than 8 MB. Take a smaller one.')
      return
    }
    const { data, error } = await takePhoto(file)
    if (data) return attach(data.photoId)
    const failure = toFailure(error)
    setFault(failure.kind === 'problem' ? failure.problem.detail : 'The server does not answer. Try again.')
  }
  return (
    <div>
      {photoId ? (
        <img
          src={`/api/photos/${photoId}`}
          alt={title}
          style={{ maxWidth: '100%', maxHeight: 260, display: 'block', borderRadius: 6, margin: '6px 0' }}
        />
      ) : null}
      <input
        ref={picker}
        type="file"
        accept="image/png,image/jpeg,image/webp"
        hidden
        aria-label={`${title}: file`}
        onChange={({ target }) => {
          void pick(target.files?.[0])
          target.value = ''
        }}
      />
      <Row $gap={6}>
        <Button large={large} onPress={() => picker.current?.click()} isDisabled={isLoading}>
          {isLoading ? 'Taking it in …' : photoId ? 'Another picture' : 'Add a picture'}
        </Button>
        {photoId ? (
          <Button large={large} look="quiet" onPress={() => void attach(null)}>
            {labels.takeItOff}
          </Button>
        ) : null}
      </Row>
      {fault ? <Fault>{fault}</Fault> : null}
    </div>
  )
}
