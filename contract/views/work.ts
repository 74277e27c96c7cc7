import { z } from 'zod'

/** Long writes that are under way, each by the id of its command: lines that are through, and how many there are. */
export const workView = z
  .object({ work: z.array(z.object({ id: z.string(), done: z.number(), total: z.number() })) })
  .meta({ id: 'Work' })
/** Long writes that are under way. */
export type WorkView = z.infer<typeof workView>
