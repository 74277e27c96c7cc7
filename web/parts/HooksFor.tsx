import { hooksForNatural, wording } from '../../core/index.ts'
import type { StageLine } from '../../contract/index.ts'
import { Quiet } from '../ui/layout.tsx'

interface HooksForProps {
  readonly stage: Pick<StageLine, 'hookRanges'>
  readonly lowMm: number
  readonly highMm: number
}

/** Hook sizes for a natural of this length, beside its millimetres; nothing where none are known. */
export function HooksFor({ stage, lowMm, highMm }: HooksForProps) {
  const sizes = hooksForNatural(stage.hookRanges, lowMm, highMm)
  return sizes.length > 0 ? <Quiet>, {wording.hookSizes(sizes)}</Quiet> : null
}
