import { useMemo, useState } from 'react'
import { readTypedRig, writtenRig } from '../../../../core/index.ts'
import type { RigPart, RigPhrase, RigWay } from '../../../../core/index.ts'
import type { RigLine } from '../../../../contract/index.ts'
import type { FlyChoice } from '../../../parts/rigs/useRigFlies.ts'

/** A rig as it is being changed: its parts, and the line in which they are typed. */
export interface RigDraft {
  readonly name: string
  readonly way: RigWay
  readonly note: string
  readonly typed: string
  readonly parts: readonly RigPart[]
}

const NEW_RIG: Omit<RigDraft, 'typed'> = {
  name: '',
  way: 'tight',
  note: '',
  parts: [
    { kind: 'leader', lengthMm: 2700, buttMm: 0.45, tipMm: 0.2, stuff: 'nylon' },
    { kind: 'tippet', lengthMm: 600, diameterMm: 0.14, stuff: 'nylon' },
    { kind: 'point', fly: null },
  ],
}

/** What of a draft a rig is saved by. */
const saidOf = ({ name, way, note, parts }: Omit<RigDraft, 'typed'>) =>
  JSON.stringify([name.trim(), way, note.trim(), parts])

/** A rig that is being made, like another where one is given, or changed: its typed line and its parts follow each other. */
export function useRigDraft(
  saved: RigLine | null,
  like: Omit<RigDraft, 'typed'> | null,
  flies: readonly FlyChoice[],
) {
  const nameOf = (id: string) => flies.find((fly) => fly.id === id)?.name ?? ''
  const from = (rig: Omit<RigDraft, 'typed'>): RigDraft => ({
    ...rig,
    typed: writtenRig(rig.parts, nameOf),
  })
  const [begun] = useState<RigDraft>(() => from(saved ?? like ?? NEW_RIG))
  const [draft, setDraft] = useState<RigDraft>(begun)
  const phrases = useMemo((): readonly RigPhrase[] => readTypedRig(draft.typed, flies), [draft.typed, flies])
  return {
    draft,
    phrases,
    isRead: phrases.every(({ part }) => part !== null) && draft.parts.length > 0,
    /** whether anything was done to it since it was opened */
    isTouched: saidOf(draft) !== saidOf(begun) || draft.typed !== begun.typed,
    isChanged: saved === null || saidOf(saved) !== saidOf(draft),
    change: (change: Partial<Pick<RigDraft, 'name' | 'way' | 'note'>>) => setDraft({ ...draft, ...change }),
    /** by its typed line: what is not understood is no part yet */
    type: (typed: string) =>
      setDraft({ ...draft, typed, parts: readTypedRig(typed, flies).flatMap(({ part }) => part ?? []) }),
    /** by hand: the line is written anew */
    putParts: (parts: readonly RigPart[]) => setDraft(from({ ...draft, parts })),
  }
}
