import { useCallback } from 'react'
import { changedSettings } from '../../contract/changedSettings.ts'
import type { FrameView, SettingsBody, SettingsChange } from '../../contract/index.ts'
import { useFramePart } from './answers.ts'
import { api } from './api.ts'
import type { Delivery } from './outbox/sender.ts'
import { useAppDispatch } from './store.ts'
import { useCommand } from './useCommand.ts'

const settingsOf = (frame: FrameView | undefined) => ({ settings: frame?.settings })

/** The user's settings, and changing them: a change is seen at once, and only what it names is sent. */
export function useSettings(): {
  readonly settings: SettingsBody | undefined
  readonly change: (change: SettingsChange, options?: { readonly quietly: boolean }) => Promise<Delivery>
} {
  const { settings } = useFramePart(settingsOf)
  const dispatch = useAppDispatch()
  const command = useCommand()
  const change = useCallback(
    (named: SettingsChange, options: { readonly quietly?: boolean } = {}) => {
      dispatch(
        api.util.updateQueryData('frame', undefined, (shown) => {
          shown.settings = changedSettings(shown.settings, named)
        }),
      )
      return command('settingsSave', { change: named }, options)
    },
    [dispatch, command],
  )
  return { settings, change }
}
