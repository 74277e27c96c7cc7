import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { command, commandBodies } from './index.ts'

const faults = (schema: z.ZodType, value: unknown) =>
  schema.safeParse(value).error?.issues.map(({ message }) => message) ?? []

/** What the library says by itself. */
const LIBRARY = /invalid|expected|received|too (big|small)|unrecognized|must be|undefined/i

describe('what is wrong with an entry', () => {
  it('is said in words of ours', () => {
    expect(faults(z.number(), 'x')).toEqual(['Write a number.'])
    expect(faults(z.object({ a: z.number() }), {})).toEqual(['Something is missing here.'])
    expect(faults(z.number().max(40), 41)).toEqual(['At most 40.'])
    expect(faults(z.string().min(3), 'ab')).toEqual(['At least 3 characters.'])
    expect(faults(z.array(z.number()).max(1), [1, 2])).toEqual(['At most 1.'])
    expect(faults(z.number().int(), 1.5)).toEqual(['Whole ones only.'])
    expect(faults(z.enum(['a', 'b']), 'c')).toEqual(['Choose one of those that are offered.'])
    expect(faults(z.strictObject({}), { foo: 1 })).toEqual(['Nothing is known of foo.'])
    expect(faults(z.number().max(3, 'At most three flies.'), 4)).toEqual(['At most three flies.'])
  })

  it('never in the library’s, whatever is sent to whatever command', () => {
    fc.assert(
      fc.property(fc.constantFrom(...Object.values(commandBodies)), fc.jsonValue(), (schema, value) => {
        for (const message of faults(schema, value)) expect(message).not.toMatch(LIBRARY)
      }),
      { numRuns: 500, seed: 3 },
    )
    for (const message of faults(command, { id: 'x', kind: 'nothing' })) expect(message).not.toMatch(LIBRARY)
  })
})
