import { useContext, useEffect } from 'react'
import { useNavigate } from 'react-router'
import type { FrameView } from '../../../contract/index.ts'
import { PLACES } from '../places.ts'
import { isTyping, PlaceKeysContext } from '../../ui/shortcuts.ts'
import { find, openWater, toggleKeys } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useUndoLast } from '../../wire/useUndoLast.ts'

const inOverlay = (target: EventTarget | null) =>
  target instanceof HTMLElement && Boolean(target.closest('[role="dialog"], [role="listbox"], [role="search"]'))

/** What Enter presses or opens by itself. */
const isPressable = (target: EventTarget | null) =>
  target instanceof HTMLElement && Boolean(target.closest('button, a, [role="button"], summary'))

/** Keys that work everywhere. Single ones never fire while typing and can be turned off. */
export function useFrameKeys(frame: FrameView | undefined): void {
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  const placeKeys = useContext(PlaceKeysContext)
  const singleKeys = frame?.settings.singleKeys ?? true
  const undoLast = useUndoLast(frame?.lastAction?.actionId ?? null)

  useEffect(() => {
    /** To the moment; where the Column is narrow it is opened first. */
    function enterMoment() {
      const moment = () => document.getElementById('moment')
      moment()?.focus()
      if (document.activeElement === moment()) return
      dispatch(openWater(true))
      requestAnimationFrame(() => moment()?.focus())
    }
    /** Once into the Column, and once more opens it. */
    function enterWater(from: EventTarget | null) {
      const mark = document.querySelector<HTMLElement>('[data-mark]')
      const isThere = from instanceof HTMLElement && from.dataset.mark !== undefined
      if (mark && !isThere) mark.focus()
      else dispatch(openWater(true))
    }
    function onControl(event: KeyboardEvent): boolean {
      if (event.key.toLowerCase() === 'k') dispatch(find('actions'))
      else if (event.key.toLowerCase() === 'z' && !event.shiftKey && !isTyping(event.target)) undoLast()
      else return false
      return true
    }
    function onSingle(event: KeyboardEvent): boolean {
      if (event.key === 'Enter' && isPressable(event.target)) return false
      const place = PLACES.find(({ digit }) => String(digit) === event.key)
      const shifted = event.shiftKey && event.key.startsWith('Arrow') ? `Shift+${event.key}` : event.key
      const own = placeKeys.current[shifted] ?? placeKeys.current[shifted.toLowerCase()]
      // Tonight once more is what lies ahead of it
      if (place) void navigate(place.path === '/' && location.pathname === '/' ? '/ahead' : place.path)
      else if (own) own()
      else if (event.key === '/') dispatch(find('anything'))
      else if (event.key === '?') dispatch(toggleKeys())
      else if (event.key.toLowerCase() === 'w') enterMoment()
      else if (event.key.toLowerCase() === 's') document.getElementById('note')?.click()
      else if (event.key.toLowerCase() === 'd') enterWater(event.target)
      else return false
      return true
    }
    function onKeyDown(event: KeyboardEvent) {
      if (event.defaultPrevented || event.isComposing) return
      let taken = false
      if (event.ctrlKey || event.metaKey) taken = onControl(event)
      else if (event.altKey) {
        const place = PLACES.find(({ digit }) => event.code === `Digit${digit}`)
        const own = placeKeys.current[`Alt+${event.key}`]
        if (place) void navigate(place.path)
        else own?.()
        taken = Boolean(place ?? own)
      } else if (event.key === 'Escape' && isTyping(event.target)) {
        if (event.target instanceof HTMLElement) event.target.blur()
      } else if (singleKeys && !isTyping(event.target) && !inOverlay(event.target)) taken = onSingle(event)
      if (taken) event.preventDefault()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [navigate, dispatch, undoLast, placeKeys, singleKeys])
}
