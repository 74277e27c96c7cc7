import { useState } from 'react'
import { PATHS } from '../../../contract/paths.ts'
import { toFailure, useRestoreBackupMutation } from '../../wire/api.ts'
import { dataPutBack } from '../../wire/outbox/sender.ts'
import { setTrouble } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'

const LOOK_AGAIN_MS = 300
const LONGEST_MS = 30_000

/** Waits until the server answers again. */
async function untilThere(): Promise<void> {
  const until = Date.now() + LONGEST_MS
  while (Date.now() < until) {
    await new Promise((resolve) => setTimeout(resolve, LOOK_AGAIN_MS))
    const there = await fetch(PATHS.backups).then(
      ({ ok }) => ok,
      () => false,
    )
    if (there) return
  }
}

/** Puts a copy back: the server swaps its database, and all that is shown comes anew. */
export function useRestore(): {
  readonly restoring: boolean
  readonly restore: (name: string) => Promise<void>
} {
  const [ask] = useRestoreBackupMutation()
  const [restoring, setRestoring] = useState(false)
  const dispatch = useAppDispatch()
  const restore = async (name: string) => {
    setRestoring(true)
    const answered = await ask({ name })
    if (answered.error) {
      const failure = toFailure(answered.error)
      dispatch(setTrouble(failure.kind === 'problem' ? failure.problem.detail : null))
    } else await untilThere()
    dataPutBack()
    setRestoring(false)
  }
  return { restoring, restore }
}
