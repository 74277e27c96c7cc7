import type { StageLine } from '../../../contract/index.ts'
import { useLarderStockQuery } from '../../wire/answers.ts'

/** Says how many flies are on hand for a stage: a dash where no pattern serves it, nothing before it is known. */
export function useOnHand(): (stage: Pick<StageLine, 'id' | 'servedBy'>) => string {
  const { data } = useLarderStockQuery()
  return ({ id, servedBy }) => {
    if (servedBy.length === 0) return '–'
    return data ? String(data.onHand[id] ?? 0) : ''
  }
}
