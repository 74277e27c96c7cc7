import { describe, expect, it } from 'vitest'
import { changedWith } from './feeds.ts'
import { box, flyEntry, pattern } from './schema.ts'

describe('tables that change with another', () => {
  it('are those that a trigger feeds', () => {
    expect(changedWith(flyEntry, 'insert').toSorted()).toEqual(['fly_balance', 'fly_entry', 'fly_tally'])
  })

  it('are those whose rows go with it, theirs too, where rows are removed', () => {
    expect(changedWith(box, 'update')).toEqual(['box', 'search_text'])
    expect(changedWith(box, 'delete').toSorted()).toEqual(['box', 'compartment', 'search_text'])
    const gone = changedWith(pattern, 'delete')
    for (const name of [
      'variant',
      'dressing',
      'variant_revision',
      'variant_figure',
      'revision_material',
      'pattern_serves',
    ])
      expect(gone).toContain(name)
  })
})
