import type { CommandBody } from '../../contract/index.ts'
import type { Handler } from './context.ts'

/** The one plan that there is. */
export const CURRENT_PLAN = 'current'

/** Fixes how many of a variant the plan ties, or lets it choose again. */
export const planFix: Handler<CommandBody<'planFix'>> = async ({ recorder }, { variantId, count }) => {
  const fly = await recorder.need('variant', variantId, 'fly')
  const owner = await recorder.need('pattern', fly.patternId, 'pattern')
  const row = await recorder.find('plan', CURRENT_PLAN)
  const { [variantId]: _before, ...others } = row?.choices ?? {}
  const choices = count === null ? others : { ...others, [variantId]: count }
  if (row) await recorder.update('plan', CURRENT_PLAN, null, { choices })
  else await recorder.insert('plan', { id: CURRENT_PLAN, choices })
  const code = count === null ? 'planFreed' : count === 0 ? 'planLeftOut' : 'planFixed'
  return { label: { code, subject: `${owner.name} ${fly.label}`, count: count ?? 0 } }
}
