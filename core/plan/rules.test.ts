import { describe, expect, it } from 'vitest'
import { isAddedWeight, isLeadDensity } from '../material/index.ts'
import { forbiddenBy, isWayAllowed } from './rules.ts'
import type { RuledFly } from './rules.ts'
import { NO_RULES } from '../testing/planInputs.ts'

const none = NO_RULES
const dry: RuledFly = { floats: true, hookSize: 16, lead: false, weighted: false, barb: null }
const nymph: RuledFly = { floats: false, hookSize: 10, lead: true, weighted: true, barb: 'barbed' }

describe('forbiddenBy', () => {
  it('forbids nothing that the note does not speak of', () => {
    expect(forbiddenBy(none, nymph)).toBeNull()
  })

  it.each([
    [{ dryOnly: true }, nymph, 'dryOnly'],
    [{ dryOnly: true }, dry, null],
    [{ noLead: true }, nymph, 'noLead'],
    [{ noLead: true }, { ...nymph, lead: false }, null],
    [{ noAddedWeight: true }, { ...nymph, lead: false }, 'noAddedWeight'],
    [{ barbless: true }, { ...dry, barb: 'barbed' }, 'barbed'],
    [{ barbless: true }, { ...dry, barb: 'crushed' }, null],
    [{ barbless: true }, { ...dry, barb: 'barbless' }, null],
    // nobody said: it may go, and is told to be crushed
    [{ barbless: true }, dry, null],
    // "12 or smaller"
    [{ maxHookSize: 12 }, { ...dry, hookSize: 10 }, 'hookTooLarge'],
    [{ maxHookSize: 12 }, { ...dry, hookSize: 12 }, null],
    // "18 or larger"
    [{ minHookSize: 18 }, { ...dry, hookSize: 20 }, 'hookTooSmall'],
    [{ minHookSize: 18 }, { ...dry, hookSize: null }, null],
  ] as const)('reads the note %j', (rules, fly, why) => {
    expect(forbiddenBy({ ...none, ...rules }, fly)).toBe(why)
  })
})

describe('isWayAllowed', () => {
  it.each([
    [{}, 'indicatorNymph', true],
    [{ noIndicator: true }, 'indicatorNymph', false],
    [{ noIndicator: true }, 'tightLineNymph', true],
    [{ maxFlies: 1 }, 'dryWithDropper', false],
    [{ maxFlies: 2 }, 'dryWithDropper', true],
    [{ dryOnly: true }, 'tightLineNymph', false],
    [{ dryOnly: true }, 'dry', true],
  ] as const)('reads the note %j for %s', (rules, way, allowed) => {
    expect(isWayAllowed({ ...none, ...rules }, way)).toBe(allowed)
  })
})

describe('added weight', () => {
  it('is lead by its density, and metal that is no rib', () => {
    expect([11.34, 11.3, 17.5, 8.5, 7.3].map(isLeadDensity)).toEqual([true, true, false, false, false])
    expect(isAddedWeight('bead', 8.5, 2.4)).toBe(true)
    expect(isAddedWeight('bead', 1.15, 2.4)).toBe(false)
    expect(isAddedWeight('wire', 7.3, 0.38)).toBe(true)
    expect(isAddedWeight('wire', 8.96, 0.12)).toBe(false)
    expect(isAddedWeight('eyes', 0.11, 4)).toBe(false)
  })
})
