import { describe, expect, it } from 'vitest'
import { SCHOOLS } from '../match/index.ts'
import { randomFrom } from '../uncertainty/index.ts'
import { nextStep, REFUSALS, STEPS } from './ladder.ts'
import type { Refusal, Step, Trial } from './ladder.ts'

const fresh = (more: Partial<Trial> = {}): Trial => ({
  ...{ where: 'onTop', cleanDrifts: 20, tried: new Set<Step>(), can: () => true },
  ...more,
})

describe('the next step for a fish that refused', () => {
  it('begins as each school would, on top', () => {
    const first = (school: (typeof SCHOOLS)[number]) =>
      Object.fromEntries(REFUSALS.map((refusal) => [refusal, nextStep(refusal, fresh(), school)]))
    const alike = {
      followed: 'pause',
      cameOff: 'hookPoint',
      dragged: 'mend',
      spooked: 'rest',
      ignored: 'position',
    }
    const low = { turned: 'cutLower', nosed: 'cutLower', splashedShort: 'cutLower' }
    const fine = { turned: 'finerTippet', nosed: 'finerTippet', splashedShort: 'finerTippet' }
    expect(first('sizeAndStage')).toEqual({ ...alike, ...low })
    expect(first('exact')).toEqual({ ...alike, ...low })
    expect(first('bright')).toEqual({ ...alike, ...low })
    expect(first('presentation')).toEqual({ ...alike, ...fine })
  })

  it('goes on in the order of the school, one change at a time', () => {
    const whole = (refusal: Refusal, where: Trial['where'], school: (typeof SCHOOLS)[number]) => {
      const tried = new Set<Step>()
      for (let step: Step | null = null; step !== 'leave';) {
        step = nextStep(refusal, fresh({ where, tried }), school)
        tried.add(step)
      }
      return [...tried]
    }
    expect(whole('nosed', 'onTop', 'sizeAndStage')).toEqual(['cutLower', 'emerger', 'smaller', 'stage', 'finerTippet', 'colour', 'leave']) // prettier-ignore
    expect(whole('ignored', 'onTop', 'sizeAndStage')).toEqual(['position', 'stage', 'smaller', 'colour', 'finerTippet', 'leave']) // prettier-ignore
    // under water depth and weight come before pattern in every school
    for (const school of SCHOOLS)
      expect(whole('ignored', 'under', school).slice(0, 4)).toEqual([
        'deeper',
        'heavier',
        'finerTippet',
        'letItFall',
      ])
    expect(whole('cameOff', 'under', 'exact')).toEqual(['hookPoint', 'widerGape', 'strikeLater', 'leave'])
  })

  it('takes nothing for a verdict before a fair trial, and changes no fly for drag', () => {
    expect(nextStep('ignored', fresh({ cleanDrifts: 2 }), 'bright')).toBe('showAgain')
    expect(nextStep('ignored', fresh({ where: 'under', cleanDrifts: 7 }), 'bright')).toBe('showAgain')
    const tried = new Set<Step>()
    for (let step: Step | null = null; step !== 'leave';) {
      step = nextStep('dragged', fresh({ tried, cleanDrifts: 0 }), 'bright')
      expect(STEPS[step]).not.toBe('fly')
      tried.add(step)
    }
  })

  it('proposes nothing that was tried, that the box lacks or the note forbids, and ends with leaving the fish', () => {
    const random = randomFrom(3)
    const oneOf = <One>(list: readonly One[]) => list[Math.floor(random() * list.length)]!
    for (let fish = 0; fish < 500; fish += 1) {
      const lacks = new Set((Object.keys(STEPS) as Step[]).filter(() => random() < 0.3))
      const [school, where] = [oneOf(SCHOOLS), oneOf(['onTop', 'under'] as const)]
      const tried = new Set<Step>()
      let [cleanDrifts, last, steps] = [0, 'showAgain' as Step, 0]
      for (; last !== 'leave'; steps += 1) {
        last = nextStep(oneOf(REFUSALS), { where, cleanDrifts, tried, can: (step) => !lacks.has(step) }, school)
        if (last === 'leave') break
        if (last === 'showAgain') cleanDrifts += 3
        else {
          expect(lacks.has(last)).toBe(false)
          expect(tried.has(last)).toBe(false)
          tried.add(last)
          cleanDrifts = 0
        }
        if (steps > 200) throw new Error('it never ends')
      }
      expect(last).toBe('leave')
    }
  })
})
