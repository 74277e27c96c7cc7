import type { NamedFly } from '../../../core/index.ts'
import { usePatternsQuery } from '../../wire/answers.ts'

/** All flies by the names that a line may call them. */
export function useNamedFlies(): readonly NamedFly[] {
  const { data } = usePatternsQuery()
  return (data?.patterns ?? []).flatMap(({ name, variants }) =>
    variants.map(({ id, label }) => ({ key: id, patternName: name, label })),
  )
}
