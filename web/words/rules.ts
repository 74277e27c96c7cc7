import type { WaterRules } from '../../contract/index.ts'
import { longDepth } from './words.ts'
import type { Units } from './words.ts'

/** What a note forbids by a word alone, in the order in which it is told. */
export const RULE_NAMES = {
  dryOnly: 'dry fly only',
  upstreamOnly: 'upstream only',
  barbless: 'barbless',
  noLead: 'no lead',
  noAddedWeight: 'no added weight',
  noIndicator: 'no indicator',
} as const

const NOTHING = 'Your note of its rules says nothing.'

/** A note of rules: `dry fly only, one fly, hook 12 or smaller`; empty where it does not say. */
function rulesWords(rules: WaterRules, units: Units): string {
  const { maxFlies, maxHookSize, minHookSize, maxLeaderMm } = rules
  const said: string[] = (Object.keys(RULE_NAMES) as (keyof typeof RULE_NAMES)[]).flatMap((rule) =>
    rules[rule] ? [RULE_NAMES[rule]] : [],
  )
  if (maxFlies !== null) said.push(maxFlies === 1 ? 'one fly' : `at most ${maxFlies} flies`)
  if (maxHookSize !== null) said.push(`hook ${maxHookSize} or smaller`)
  if (minHookSize !== null) said.push(`hook ${minHookSize} or larger`)
  if (maxLeaderMm !== null) said.push(`leader of at most ${longDepth(maxLeaderMm, units)}`)
  return said.join(', ')
}

/** What a user noted of a water's rules: `Your note: barbless, one fly.` */
export function rulesSentence(rules: WaterRules | null, units: Units): string {
  const said = rules ? rulesWords(rules, units) : ''
  return said === '' ? NOTHING : `Your note: ${said}.`
}
