import type { KeyboardEvent } from 'react'
import { wording } from '../../../core/index.ts'
import type { Check } from './FirstFly.tsx'
import type { useViseActions } from './useViseActions.ts'

/** Keys that count even while a button has focus. */
const ON_BUTTONS: ReadonlySet<string> = new Set(['c', 'x', 'p'])

/** What the keys do at the vise: a foot pedal is a keyboard. Digits say why the last fly is spoiled. */
export function viseKeys(
  actions: ReturnType<typeof useViseActions>,
  check: Check | null,
  setCheck: (check: Check | null) => void,
): (event: KeyboardEvent) => void {
  const toggle = (wanted: Check) => () => setCheck(check === wanted ? null : wanted)
  const keys: Readonly<Record<string, () => void>> = {
    ' ': actions.next,
    PageDown: actions.next,
    ArrowRight: actions.next,
    Backspace: actions.back,
    PageUp: actions.back,
    ArrowLeft: actions.back,
    c: actions.done,
    x: actions.spoiled,
    p: actions.pause,
    t: toggle('time'),
    g: toggle('weigh'),
  }
  return (event) => {
    const onButton =
      event.target !== event.currentTarget &&
      event.target instanceof HTMLElement &&
      event.target.closest('button, a, input') !== null
    if (onButton && !ON_BUTTONS.has(event.key.toLowerCase())) return
    // a key that is held down counts once
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
    const cause = actions.spoiledId === null ? undefined : wording.SPOILED_CAUSES[Number(event.key) - 1]
    const act = cause ? () => actions.say(cause) : (keys[event.key] ?? keys[event.key.toLowerCase()])
    if (!act) return
    event.preventDefault()
    event.stopPropagation()
    act()
  }
}
