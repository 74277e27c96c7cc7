import { useState } from 'react'
import { Link } from 'react-router'
import { wording } from '../../../core/index.ts'
import type { PatternsView } from '../../../contract/index.ts'
import { Button } from '../../ui/Button.tsx'
import { Caution, Quiet, Row } from '../../ui/layout.tsx'
import { labels } from '../../words/patterns.ts'

/** Flies that nobody can tell apart although they weigh differently, and marks that break the weight code. */
export function ToldApart({ data }: { readonly data: PatternsView }) {
  const [open, setOpen] = useState(false)
  const { pairs, marks } = data.toldApart
  if (pairs.length + marks.length === 0) return null
  const flies = new Map(
    data.patterns.flatMap((pattern) =>
      pattern.variants.map(({ id, label }) => [
        id as string,
        { name: `${pattern.name} ${label}`, to: `/patterns/${pattern.id}?variant=${id}` },
      ]),
    ),
  )
  const fly = (id: string) => {
    const found = flies.get(id)
    return found ? <Link to={found.to}>{found.name}</Link> : 'a fly'
  }
  const said = [
    pairs.length > 0
      ? `${wording.counted(pairs.length, 'pair of flies looks', 'pairs of flies look')} alike and weigh differently`
      : '',
    marks.length > 0 ? `${wording.counted(marks.length, 'fly breaks', 'flies break')} your weight code` : '',
  ].filter(Boolean)
  return (
    <section aria-label={labels.toldApart}>
      <Row $gap={10}>
        <Caution>{said.join('; ')}.</Caution>
        <Button onPress={() => setOpen(!open)} aria-expanded={open}>
          {open ? 'Hide them' : 'Which?'}
        </Button>
      </Row>
      {open ? (
        <ul>
          {pairs.map(({ lighterId, heavierId, ratio }) => (
            <li key={lighterId + heavierId}>
              {fly(lighterId)} and {fly(heavierId)}: one weighs {ratio.toFixed(1)} times the other
            </li>
          ))}
          {marks.map((fault) => (
            <li key={fault.variantId}>
              {fly(fault.variantId)} <Quiet>{wording.markSentence(fault)}</Quiet>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  )
}
