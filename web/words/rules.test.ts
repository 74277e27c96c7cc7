import { describe, expect, it } from 'vitest'
import { defaultUnits } from './defaultUnits.ts'
import { rulesSentence } from './rules.ts'

const metric = defaultUnits
const inches: typeof defaultUnits = { ...defaultUnits, depth: 'ft' }

describe('a note of rules', () => {
  const none = { dryOnly: null, upstreamOnly: null, barbless: null, noLead: null, noAddedWeight: null, noIndicator: null, maxFlies: null, minHookSize: null, maxHookSize: null, maxLeaderMm: null } // prettier-ignore
  it('is told as it was noted, and says so where it says nothing', () => {
    const said = (more: object, units = metric) => rulesSentence({ ...none, ...more }, units)
    expect(said({})).toBe('Your note of its rules says nothing.')
    expect(rulesSentence(null, metric)).toBe(said({}))
    expect(said({ barbless: true, dryOnly: true, maxFlies: 1, maxHookSize: 12 })).toBe(
      'Your note: dry fly only, barbless, one fly, hook 12 or smaller.',
    )
    expect(said({ maxFlies: 2, maxLeaderMm: 3658 }, inches)).toBe(
      'Your note: at most 2 flies, leader of at most 12.0 ft.',
    )
  })
})
