import type { StageLine } from '../../../contract/index.ts'
import { draftOf } from './edit/draft.ts'
import type { PutIn } from './newFood.ts'

/** What a file of a larder says of itself. */
const FORMAT = { format: 'heavy-thistle larder', version: 1 } as const

/** All stages of a larder as the text of a file. */
export function larderText(stages: readonly StageLine[]): string {
  const kept = stages.map((line): PutIn => ({
    foodStageId: line.id,
    food: { id: line.foodId, name: line.foodName, groupKey: line.groupKey },
    stage: draftOf(line),
  }))
  return `${JSON.stringify({ ...FORMAT, stages: kept }, null, 1)}\n`
}

/** Stages out of the text of a file, or why it is none: what each of them says is looked at where it is taken in. */
export function readLarder(text: string): readonly PutIn[] | string {
  let said: unknown
  try {
    said = JSON.parse(text)
  } catch {
    return 'This is no larder: its signs cannot be read.'
  }
  const { format, version, stages } = (said ?? {}) as Readonly<Record<string, unknown>>
  if (format !== FORMAT.format || !Array.isArray(stages)) return 'This is no larder.'
  if (version !== FORMAT.version) return 'This larder was kept by a later version.'
  return stages as readonly PutIn[]
}
