import type { CommandBody } from '../../contract/index.ts'
import type { Handler } from './context.ts'

/** The one plan that there is. */
export const CURRENT_PLAN = 'current'

/** Fixes how many of a variant the plan ties, or lets it choose again; of one that it thought of too, which is not made yet. */
export const planFix: Handler<CommandBody<'planFix'>> = async (
  { recorder },
  { variantId, patternId, label, count },
) => {
  const fly = await recorder.find('variant', variantId)
  const owner = await recorder.need('pattern', fly?.patternId ?? patternId ?? '', 'pattern')
  const row = await recorder.find('plan', CURRENT_PLAN)
  const { [variantId]: _before, ...others } = row?.choices ?? {}
  const choices = count === null ? others : { ...others, [variantId]: count }
  if (row) await recorder.update('plan', CURRENT_PLAN, null, { choices })
  else await recorder.insert('plan', { id: CURRENT_PLAN, choices })
  const code = count === null ? 'planFreed' : count === 0 ? 'planLeftOut' : 'planFixed'
  return { label: { code, subject: `${owner.name} ${fly?.label ?? label ?? ''}`.trim(), count: count ?? 0 } }
}

/** Says how long an evening at the bench is where it differs from others of its day of the week. */
export const eveningSet: Handler<CommandBody<'eveningSet'>> = async ({ recorder }, { on, minutes }) => {
  if (await recorder.find('evening', on)) await recorder.update('evening', on, null, { minutes })
  else await recorder.insert('evening', { id: on, minutes })
  return { label: { code: minutes === null ? 'eveningUsual' : 'eveningSet', subject: on, count: minutes ?? 0 } }
}
