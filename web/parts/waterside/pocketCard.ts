import { waterside, wording } from '../../../core/index.ts'
import type { DisplayUnits } from '../../../core/index.ts'
import type { AlongView, StageAlong } from '../../../contract/index.ts'
import { rulesSentence } from '../../words/rules.ts'
import { labels, ladderInShort, NEED_OF, REFUSAL, RISES_IN_SHORT } from '../../words/waterside.ts'
import { clockTime, dateName } from '../../words/words.ts'
import { packNeeds } from './packNeeds.ts'

/** Above this a food is at the film, and no depth is told. */
const FILM_MM = 50

/** How deep a food is met, after a comma; nothing at the film. */
export const stageDepth = (stage: StageAlong | null, units: DisplayUnits): string =>
  stage && stage.toMm > FILM_MM ? `, ${wording.fineDepth((stage.fromMm + stage.toMm) / 2, units)}` : ''

/** A line of a pocket card: when, for what, and the fly with the two that stand ready below it. */
export interface PocketLine {
  /** empty where it is for all of the day */
  readonly when: string
  readonly what: string
  /** what is put on, and where it lies; null where nothing that is packed is for it */
  readonly fly: string | null
  readonly place: string
  /** lower, smaller */
  readonly then: string
}

/** What goes into the breast pocket on paper. */
export interface PocketCard {
  readonly title: string
  readonly rules: string
  readonly lines: readonly PocketLine[]
  /** rigs for the day that the water's note allows, as they are typed */
  readonly rigs: readonly string[]
  /** what to look for, and what to change when it is refused, one after the other */
  readonly help: readonly string[]
}

/** What a rise says, and what to change in the order of the tier's school. */
function helpOf({ school }: AlongView): readonly string[] {
  const ladder = (refusal: waterside.Refusal, where: 'onTop' | 'under') =>
    ladderInShort(
      `${where === 'onTop' ? labels.floating : labels.sunk} ${REFUSAL[refusal]}`,
      waterside.ladderOf(refusal, where, school),
    )
  return [...RISES_IN_SHORT, ladder('turned', 'onTop'), ladder('ignored', 'onTop'), ladder('ignored', 'under')]
}

/** The pocket card of an outing, from what is packed. */
export function pocketCard(along: AlongView, units: DisplayUnits): PocketCard {
  const { outing, fromLocalMin } = along
  const at = (half: number) => clockTime(fromLocalMin + 30 * half)
  const hours = `${clockTime(outing.fromLocalMin)}–${clockTime(outing.toLocalMin)}`
  return {
    title: `${outing.reachName ?? outing.waterName}, ${dateName(outing.on)}, ${hours}`,
    rules: rulesSentence(outing.rules, units),
    lines: packNeeds(along).map(({ kind, stage, fromHalf, toHalf, share, put, lower, smaller }) => {
      const then = [
        lower ? `${labels.lower}: ${lower.name}` : '',
        smaller ? `${labels.smaller}: ${smaller.name}` : '',
      ]
      return {
        when: kind === 'food' ? `${at(fromHalf)}–${at(toHalf)}` : '',
        what:
          kind === 'food'
            ? `${stage?.name ?? ''}${stageDepth(stage, units)}, ${wording.fishOnIt(share ?? 0)}`
            : NEED_OF[kind],
        fly: put?.fly.name ?? null,
        place: put?.fly.place ?? '',
        then: then.filter(Boolean).join('; '),
      }
    }),
    rigs: along.rigs.flatMap(({ name, said, against }) => (against.length === 0 ? [`${name}: ${said}`] : [])),
    help: helpOf(along),
  }
}

/** A pocket card as Markdown. */
export const pocketMarkdown = ({ title, rules, lines, rigs, help }: PocketCard): string =>
  [
    `# ${title}`,
    '',
    rules,
    '',
    ...lines.map(({ when, what, fly, place, then }) => {
      const put = fly ? `**${fly}** (${place})` : labels.gap
      return `- ${when ? `${when} ` : ''}${what}: ${put}${then ? `; ${then}` : ''}`
    }),
    '',
    ...rigs.map((line) => `- ${line}`),
    ...(rigs.length > 0 ? [''] : []),
    ...help.map((line) => `- ${line}`),
    '',
    labels.wade,
    '',
  ].join('\n')
