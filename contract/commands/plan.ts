import { z } from 'zod'
import { civilDate, name, patternId, variantId } from '../common.ts'
import { figure } from '../limited.ts'

/** What the user decides of the plan. */
export const planCommands = {
  /** null lets the plan choose, nought leaves the fly out of it; pattern and label say what one is that is not made yet */
  planFix: z
    .object({
      variantId,
      patternId: patternId.optional(),
      label: name.optional(),
      count: figure('fixedCount').nullable(),
    })
    .strict(),
  /** how long an evening at the bench is where it is not as usual on its day of the week; null is as usual */
  eveningSet: z
    .object({
      on: civilDate,
      minutes: figure('eveningMinutes').nullable(),
    })
    .strict(),
} as const
