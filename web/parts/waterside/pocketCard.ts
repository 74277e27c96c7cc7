import { wording } from '../../../core/index.ts'
import type { DisplayUnits } from '../../../core/index.ts'
import type { AlongView } from '../../../contract/index.ts'
import { rulesSentence } from '../../words/rules.ts'
import { labels, NEED_OF } from '../../words/waterside.ts'
import { clockTime, dateName } from '../../words/words.ts'
import { packNeeds } from './packNeeds.ts'

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
      const depth =
        stage && stage.toMm > 0 ? `, ${wording.fineDepth((stage.fromMm + stage.toMm) / 2, units)}` : ''
      const then = [
        lower ? `${labels.lower}: ${lower.name}` : '',
        smaller ? `${labels.smaller}: ${smaller.name}` : '',
      ]
      return {
        when: kind === 'food' ? `${at(fromHalf)}–${at(toHalf)}` : '',
        what: kind === 'food' ? `${stage?.name ?? ''}${depth}, ${wording.fishOnIt(share)}` : NEED_OF[kind],
        fly: put?.fly.name ?? null,
        place: put?.fly.place ?? '',
        then: then.filter(Boolean).join('; '),
      }
    }),
  }
}

/** A pocket card as Markdown. */
export const pocketMarkdown = ({ title, rules, lines }: PocketCard): string =>
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
    labels.wade,
    '',
  ].join('\n')
