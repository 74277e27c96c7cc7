import { useMemo } from 'react'
import { techniquesAmong } from '../../../core/index.ts'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import { HowItCame } from './HowItCame.tsx'
import { SaveCard } from './card/SaveCard.tsx'
import { ServesWhat } from './ServesWhat.tsx'
import type { WorkedOut } from './useFlyReport.ts'
import { WhatItTakes } from './WhatItTakes.tsx'
import { YearOfUse } from './YearOfUse.tsx'

interface FollowingFiguresProps {
  readonly worked: WorkedOut
  readonly draft: Draft
  readonly variant: DraftVariant
  readonly waterTempC: number
}

/** What follows from the fly and may come a moment after the edit: what it serves and takes, its card, how its figures came. */
export function FollowingFigures({ worked, draft, variant, waterTempC }: FollowingFiguresProps) {
  const { serves, fishedHow } = draft
  const meantFor = useMemo(() => serves.map(({ foodStageId }) => foodStageId), [serves])
  const ways = useMemo(() => techniquesAmong(fishedHow), [fishedHow])
  return (
    <>
      <ServesWhat worked={worked} meantFor={meantFor} ways={ways} />
      <YearOfUse worked={worked} meantFor={meantFor} ways={ways} />
      {draft.components.length > 0 ? <WhatItTakes worked={worked} /> : null}
      <SaveCard draft={draft} variant={variant} worked={worked} serves={draft.serves.map(({ name }) => name)} />
      <HowItCame worked={worked} waterTempC={waterTempC} />
    </>
  )
}
