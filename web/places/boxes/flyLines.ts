import { fliesNamed, readFlyLine } from '../../../core/index.ts'
import type { FlyLine as FlyRead, FlyLineFault, NamedFly } from '../../../core/index.ts'
import type { CommandInput, CompartmentId, MaterialLine, VariantId } from '../../../contract/index.ts'
import type { BareFlies } from './bareFlies.ts'

/** What a line is answered with that means none of the flies that bear its name. */
export const NO_RECIPE = 'without a recipe'

/** A line of flies, what it says, and the flies that it may mean. */
export interface PastedLine {
  readonly line: string
  readonly read: FlyRead | FlyLineFault
  readonly named: readonly NamedFly[]
}

/** Which fly was meant by a line that could mean several: a key, or `NO_RECIPE`. */
export type Chosen = Readonly<Record<string, string>>

/** A line that is only the name of a pattern and a colon stands over the lines below it. */
const HEADING = /^(.*):\s*$/

/** Each line that is not empty, read against the flies that there are; the pattern of a line holds for those below it. */
export function readFlyLines(text: string, flies: readonly NamedFly[]): readonly PastedLine[] {
  let under: string | null = null
  return text.split('\n').flatMap((line): readonly PastedLine[] => {
    if (line.trim() === '') return []
    const heading = HEADING.exec(line)
    const over = heading && patternNamed(heading[1] ?? '', flies)
    if (over) {
      under = over
      return []
    }
    const alone = readFlyLine(line)
    const nameless = alone.kind === 'unclear' && alone.code === 'noName'
    const below = nameless && under !== null ? readFlyLine(`${under} ${line.trim()}`) : alone
    // a count alone says of no fly that it is meant
    const read = nameless && below.kind === 'fly' && below.hookSize === null ? alone : below
    if (read.kind !== 'fly') return [{ line, read, named: [] }]
    const apart = fliesNamed(read, flies)
    const named = apart.length > 0 ? apart : fliesNamed(read, flies, under)
    const patterns = patternNamesOf(named)
    under = patterns.length === 1 ? (patterns[0] ?? null) : null
    return [{ line, read, named }]
  })
}

const patternNamed = (name: string, flies: readonly NamedFly[]) =>
  patternNamesOf(flies).find((pattern) => pattern.toLowerCase() === name.trim().toLowerCase()) ?? null

/** Whether a line is not understood, or could mean several flies of which none is chosen. */
export const isUnsettled = ({ line, read, named }: PastedLine, chosen: Chosen): boolean =>
  read.kind === 'unclear' || (named.length > 1 && !chosen[line])

/** How many flies the lines say. */
export const fliesIn = (lines: readonly PastedLine[]): number =>
  lines.reduce((sum, { read }) => sum + (read.kind === 'fly' ? read.count : 0), 0)

/** The lines as they go into a compartment; flies without a recipe are made as they are first met. */
export const putLines = (
  lines: readonly PastedLine[],
  chosen: Chosen,
  compartmentId: CompartmentId,
  bare: BareFlies,
): CommandInput<'fliesPutIn'>['lines'] =>
  lines.flatMap(({ line, read, named }) => {
    if (read.kind !== 'fly') return []
    const key = chosen[line] ?? (named.length === 1 ? named[0]?.key : undefined)
    const isKnown = key !== undefined && key !== NO_RECIPE
    const variantId = isKnown ? (key as VariantId) : bare.variantFor(read.name, read.hookSize)
    return [{ compartmentId, variantId, count: read.count }]
  })

/** Names that patterns have, each once. */
export const patternNamesOf = (flies: readonly NamedFly[]): readonly string[] => [
  ...new Set(flies.map(({ patternName }) => patternName)),
]

/** The family of hooks of which there are most sizes in the stores. */
export function usualHooks(drawers: readonly MaterialLine[]): string | null {
  const sizes = new Map<string, number>()
  for (const { kind, familyId } of drawers)
    if (kind === 'hook') sizes.set(familyId, (sizes.get(familyId) ?? 0) + 1)
  return [...sizes].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null
}
