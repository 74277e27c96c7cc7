import { useRef, useState } from 'react'
import type { StageLine } from '../../../contract/index.ts'
import { saveFile } from '../../files/saveFile.ts'
import { useCommand } from '../../wire/useCommand.ts'
import { Button } from '../../ui/Button.tsx'
import { Fault, Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/larder.ts'
import { larderText, readLarder } from './larderFile.ts'

/** The larder as a file: to keep, to give to a friend, and to take in. */
export function KeepLarder({ stages }: { readonly stages: readonly StageLine[] }) {
  const command = useCommand()
  const file = useRef<HTMLInputElement>(null)
  const [said, setSaid] = useState<{ readonly fault?: string; readonly done?: string }>({})
  const takeIn = async (chosen: File | undefined) => {
    if (!chosen) return
    const read = readLarder(await chosen.text())
    if (typeof read === 'string') {
      setSaid({ fault: read })
      return
    }
    const delivery = await command('larderPutIn', { stages: [...read] }, { quietly: true })
    if (delivery.kind === 'refused') {
      const [first] = delivery.problem.fields
      setSaid({
        fault: first ? `${first.path.replaceAll('.', ' ')}: ${first.message}` : delivery.problem.detail,
      })
    } else setSaid({ done: labels.takenInUndoTakes })
  }
  return (
    <Row style={{ paddingTop: 12 }}>
      <Button
        onPress={() => saveFile('larder.json', new Blob([larderText(stages)], { type: 'application/json' }))}
      >
        {labels.saveTheLarder}
      </Button>
      <Button onPress={() => file.current?.click()}>{labels.takeALarderIn}</Button>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        aria-label={labels.takeALarderIn}
        hidden
        onChange={({ target }) => {
          void takeIn(target.files?.[0])
          target.value = ''
        }}
      />
      {said.fault ? <Fault>{said.fault}</Fault> : null}
      {said.done ? <Quiet role="status">{said.done}</Quiet> : null}
    </Row>
  )
}
