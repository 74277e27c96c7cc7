import { useContext, useEffect } from 'react'
import { useNavigate } from 'react-router'
import type { FrameView } from '../../../contract/index.ts'
import { PLACES } from '../places.ts'
import { useTurnClock } from '../../moment/useTurnClock.ts'
import { isTyping, keyName, PlaceActionsContext } from '../../ui/shortcuts.ts'
import { find, openWater, toggleKeys } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useUndoLast } from '../../wire/useUndoLast.ts'

const HOUR_MIN = 60

const inOverlay = (target: EventTarget | null) =>
  target instanceof HTMLElement && Boolean(target.closest('[role="dialog"], [role="listbox"], [role="search"]'))

/** What Enter presses or opens by itself. */
const isPressable = (target: EventTarget | null) =>
  target instanceof HTMLElement && Boolean(target.closest('button, a, [role="button"], summary'))

/** Keys that work everywhere. Single ones never fire while typing and can be turned off. */
export function useFrameKeys(frame: FrameView | undefined): void {
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  const actions = useContext(PlaceActionsContext)
  const turn = useTurnClock()
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
    const own = (name: string) => actions.now().find(({ key }) => key === name)?.go
    function onControl(event: KeyboardEvent): boolean {
      const name = keyName(event)
      if (name === 'Ctrl+k') dispatch(find('actions'))
      else if (name === 'Ctrl+s') own(name)?.()
      else if (name === 'Ctrl+z' && !event.shiftKey && !isTyping(event.target)) undoLast()
      else return false
      return true
    }
    function onSingle(event: KeyboardEvent): boolean {
      if (event.key === 'Enter' && isPressable(event.target)) return false
      const place = PLACES.find(({ digit }) => String(digit) === event.key)
      const name = keyName(event)
      const ofPlace = own(name)
      const ofFrame: Readonly<Record<string, () => void>> = {
        '/': () => dispatch(find('anything')),
        '?': () => dispatch(toggleKeys()),
        w: enterMoment,
        s: () => document.getElementById('note')?.click(),
        d: () => enterWater(event.target),
        ',': () => turn({ minutes: -HOUR_MIN }),
        '.': () => turn({ minutes: HOUR_MIN }),
        'Shift+,': () => turn({ days: -1 }),
        'Shift+.': () => turn({ days: 1 }),
      }
      // Tonight once more is what lies ahead of it
      if (place) void navigate(place.path === '/' && location.pathname === '/' ? '/ahead' : place.path)
      else if (ofPlace) ofPlace()
      else if (ofFrame[name]) ofFrame[name]()
      else return false
      return true
    }
    function onKeyDown(event: KeyboardEvent) {
      if (event.defaultPrevented || event.isComposing) return
      let taken = false
      if (event.ctrlKey || event.metaKey) taken = onControl(event)
      else if (event.altKey) {
        const place = PLACES.find(({ digit }) => event.code === `Digit${digit}`)
        const ofPlace = own(keyName(event))
        if (place) void navigate(place.path)
        else ofPlace?.()
        taken = Boolean(place ?? ofPlace)
      } else if (event.key === 'Escape' && isTyping(event.target)) {
        if (event.target instanceof HTMLElement) event.target.blur()
      } else if (singleKeys && !isTyping(event.target) && !inOverlay(event.target)) taken = onSingle(event)
      if (taken) event.preventDefault()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [navigate, dispatch, undoLast, actions, turn, singleKeys])
}
