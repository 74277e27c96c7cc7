import { useState } from 'react'
import type { Problem } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { TextField } from '../../ui/fields.tsx'
import { Form } from '../../ui/Form.tsx'
import { Row } from '../../ui/layout.tsx'
import { useCommand } from '../../wire/useCommand.ts'
import { labels } from '../../words/settings.ts'

/** Names a second folder that copies go to. */
export function SecondFolder({ folder }: { readonly folder: string | null }) {
  const command = useCommand()
  const [text, setText] = useState(folder ?? '')
  const [problem, setProblem] = useState<Problem | null>(null)
  const keep = async () => {
    const change = { backupFolder: text.trim() === '' ? null : text.trim() }
    const delivery = await command('settingsSave', { change }, { quietly: true })
    setProblem(delivery.kind === 'refused' ? delivery.problem : null)
  }
  return (
    <Form label={labels.whereCopiesGo} onSubmit={() => void keep()} problem={problem}>
      <Row $align="end">
        <TextField
          label={labels.secondFolder}
          hint={labels.secondFolderHint}
          value={text}
          onChange={setText}
          name="change.backupFolder"
          maxLength={500}
          width="420px"
        />
        <Button type="submit" isDisabled={text.trim() === (folder ?? '')}>
          {labels.keep}
        </Button>
      </Row>
    </Form>
  )
}
