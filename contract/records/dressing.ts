import { COMPONENT_KINDS, FORMED, SIDES, STEP_VERBS } from '../../core/index.ts'
import { z } from 'zod'
import { materialId, note } from '../common.ts'
import { figure, listed, written } from '../limited.ts'

/** Key of a component within its dressing. */
export const componentKey = written('componentKey').regex(
  /^[a-zA-Z][a-zA-Z0-9-]*$/,
  'A key has letters, figures and dashes.',
)

const factor = figure('factor')
const amounts = {
  turns: figure('turns').optional(),
  fibreCount: figure('fibreCount').optional(),
  strands: figure('strands').optional(),
  layers: figure('layers').optional(),
  bulk: figure('bulk').optional(),
  widthMm: figure('widthMm').optional(),
}

/** A length in shanks, gapes, hook lengths, beads or of another component, 0 to 20 times; or 0 to 200 mm. */
export const proportion = z.union([
  z.object({ factor, of: z.enum(['shank', 'gape', 'hookLength', 'bead']) }).strict(),
  z.object({ factor, of: z.literal('component'), componentKey }).strict(),
  z.object({ mm: figure('lengthMm') }).strict(),
])

/** Where on the shank, from the eye (0) to the bend (1), and on which side; from is at most to. */
export const place = z
  .object({
    from: figure('alongShank'),
    to: figure('alongShank'),
    side: z.enum(SIDES),
  })
  .refine(({ from, to }) => from <= to, {
    message: 'From the eye backwards: from is at most to.',
    path: ['to'],
  })

/** One line of a dressing. Figures keep to core’s limits; nothing unknown is let through. */
export const component = z
  .object({
    key: componentKey,
    kind: z.enum(COMPONENT_KINDS),
    materialId,
    place,
    length: proportion.optional(),
    ...amounts,
    clipped: figure('clipped').optional(),
    formed: z.enum(FORMED).optional(),
    treatment: z.enum(['dry', 'floatant', 'resin', 'varnish']).optional(),
  })
  .strict()

/** A step at the vise as someone edited it, with where the thread is before and after, 0 at the eye to 1 at the bend. */
export const step = z
  .object({
    key: componentKey,
    verb: z.enum(STEP_VERBS),
    componentKey: componentKey.nullable(),
    threadFrom: figure('alongShank'),
    threadTo: figure('alongShank'),
    note,
  })
  .strict()

/** What a variant does otherwise in one line: other goods, other amounts, or leave it out. */
export const swap = z
  .object({
    componentKey,
    materialId: materialId.optional(),
    ...amounts,
    length: proportion.optional(),
    clipped: figure('clipped').optional(),
    omit: z.boolean().optional(),
  })
  .strict()

const unique = (keys: readonly string[]) => new Set(keys).size === keys.length

const HEAVY_FRONT: ReadonlySet<string> = new Set(['bead', 'cone', 'eyes'])

type Lines = readonly z.infer<typeof component>[]

const knowsItsParts = (components: Lines, steps: readonly z.infer<typeof step>[]): boolean => {
  const keys = new Set(components.map(({ key }) => key))
  return steps.every(({ componentKey: named }) => named === null || keys.has(named))
}

/** The body of a dressing: components in tying order, steps where someone has edited them. */
export const dressingBody = z
  .object({
    components: listed('components', component),
    steps: listed('steps', step).nullable(),
  })
  .strict()
  .refine(({ components }) => unique(components.map(({ key }) => key)), {
    message: 'Two components have the same key.',
    path: ['components'],
  })
  .refine(({ components }) => components.filter(({ kind }) => HEAVY_FRONT.has(kind)).length <= 2, {
    message: 'A hook has room for two beads, cones or pairs of eyes at most.',
    path: ['components'],
  })
  .refine(({ components, steps }) => knowsItsParts(components, steps ?? []), {
    message: 'A step names a part that is not in the dressing.',
    path: ['steps'],
  })

/** What a variant does otherwise; at most one swap a line. */
export const swaps = listed('components', swap).refine(
  (list) => unique(list.map((entry) => entry.componentKey)),
  'Two swaps name the same component.',
)

/** A dressing as it is saved: its lines in tying order, and its steps where someone edited them. */
export type DressingBody = z.infer<typeof dressingBody>
/** The swaps of a variant. */
export type Swaps = z.infer<typeof swaps>
