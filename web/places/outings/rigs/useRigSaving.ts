import { useEffect, useRef, useState } from 'react'
import type { RigPart } from '../../../../core/index.ts'
import type { RigId, RigLine } from '../../../../contract/index.ts'
import { useLeaveWarning, wholePlace } from '../../../ui/useLeaveWarning.ts'
import { newId, useCommand } from '../../../wire/useCommand.ts'
import { labels } from '../../../words/rigs.ts'

type Draft = Pick<RigLine, 'name' | 'way' | 'note'> & { readonly parts: readonly RigPart[] }

interface RigSaving {
  /** null for one that is being made */
  readonly rig: RigLine | null
  readonly draft: Draft
  /** whether all that was typed was understood */
  readonly isRead: boolean
  /** whether something would be lost by leaving */
  readonly isUnsaved: boolean
  readonly onOpen: (id: RigId | null) => void
}

/** Keeps a rig, copies it, puts it away; its sheet is left only once nothing is unsaved any more. */
export function useRigSaving({ rig, draft, isRead, isUnsaved, onOpen }: RigSaving) {
  const command = useCommand()
  const [fault, setFault] = useState<string | null>(null)
  const [done, setDone] = useState<{ readonly to: RigId | null } | null>(null)
  const blocker = useLeaveWarning(isUnsaved && done === null, wholePlace)
  const latestOpen = useRef(onOpen)
  latestOpen.current = onOpen
  useEffect(() => {
    if (done) latestOpen.current(done.to)
  }, [done])
  const send = async (rigId: RigId, version: number | null, name: string) => {
    if (!name.trim()) return setFault(labels.nameIt)
    if (!isRead) return setFault(labels.onePhrase)
    const { way, note, parts } = draft
    const delivery = await command(
      'rigSave',
      { rigId, version, rig: { name, way, note, parts: [...parts] as RigLine['parts'] } },
      { quietly: true },
    )
    if (delivery.kind === 'refused') return setFault(delivery.problem.detail)
    setFault(null)
    return setDone({ to: rigId })
  }
  const putAway = async ({ id, version }: RigLine) => {
    const delivery = await command('rigArchive', { rigId: id, version }, { quietly: true })
    if (delivery.kind === 'refused') setFault(delivery.problem.detail)
    else setDone({ to: null })
  }
  return {
    ...{ fault, blocker },
    save: () => void send(rig?.id ?? newId<RigId>(), rig?.version ?? null, draft.name),
    copy: () => void send(newId<RigId>(), null, `${draft.name}, copy`),
    putAway: (one: RigLine) => void putAway(one),
  }
}
