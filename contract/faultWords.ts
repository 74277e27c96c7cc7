import { z } from 'zod'

type Issue = Parameters<NonNullable<ReturnType<typeof z.config>['customError']>>[0]

/** What should have stood there, in a tier's words. */
const WANTED: Readonly<Record<string, string>> = {
  number: 'Write a number.',
  int: 'Whole ones only.',
  string: 'Write something.',
  boolean: 'Say yes or no.',
  array: 'A list is wanted here.',
  tuple: 'A list is wanted here.',
  object: 'Something is missing here.',
  record: 'Something is missing here.',
}

const lengths: Readonly<Record<string, string>> = { string: ' characters', array: '', set: '' }

/** What is wrong with an entry where its schema has no words of its own for it: never those of the library. */
function faultWords(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? 'Something is missing here.'
        : (WANTED[issue.expected] ?? 'This cannot stand here.')
    case 'too_small':
      return `At least ${String(issue.minimum)}${lengths[issue.origin] ?? ''}.`
    case 'too_big':
      return `At most ${String(issue.maximum)}${lengths[issue.origin] ?? ''}.`
    case 'invalid_value':
      return 'Choose one of those that are offered.'
    case 'unrecognized_keys':
      return `Nothing is known of ${issue.keys.join(', ')}.`
    case 'not_multiple_of':
      return `A multiple of ${String(issue.divisor)}.`
    case 'invalid_format':
      return 'This is not written as it should be.'
    default:
      return 'This cannot stand here.'
  }
}

z.config({ customError: faultWords })
