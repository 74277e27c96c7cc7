import { createContext, useContext, useEffect, useRef } from 'react'

/** Something that the place that is open can do: by a key, and by name from the list of actions. */
export interface PlaceAction {
  /** as {@link keyName} says it; none where there is only a name */
  readonly key?: string
  /** what it does, as the lists of keys and actions say it */
  readonly what: string
  readonly go: () => void
}

/** The actions of all that is open now, what was opened last first. */
export interface PlaceActions {
  readonly now: () => readonly PlaceAction[]
  /** adds actions as long as they are there; answers how to take them away */
  readonly add: (actions: () => readonly PlaceAction[]) => () => void
}

/** An empty holder of actions. */
export function makePlaceActions(): PlaceActions {
  let held: readonly (() => readonly PlaceAction[])[] = []
  return {
    now: () => held.flatMap((actions) => actions()),
    add: (actions) => {
      held = [actions, ...held]
      return () => {
        held = held.filter((one) => one !== actions)
      }
    },
  }
}

/** Where places hang their actions; the frame listens to their keys and lists them. */
export const PlaceActionsContext = createContext<PlaceActions>(makePlaceActions())

/** Gives what is open actions of its own. */
export function usePlaceActions(actions: readonly PlaceAction[]): void {
  const holder = useContext(PlaceActionsContext)
  const latest = useRef(actions)
  useEffect(() => {
    latest.current = actions
  })
  useEffect(() => holder.add(() => latest.current), [holder])
}

/** Keys that mean the same wherever they lie on a keyboard, by their place on it. */
const BY_PLACE: Readonly<Record<string, string>> = { Comma: ',', Period: '.' }

/** A key as places name it: `n`, `Enter`, `Shift+ArrowUp`, `Alt+ArrowUp`, `Ctrl+s`, `Shift+,`. */
export function keyName({
  key,
  code,
  shiftKey,
  altKey,
  ctrlKey,
  metaKey,
}: Pick<KeyboardEvent, 'key' | 'code' | 'shiftKey' | 'altKey' | 'ctrlKey' | 'metaKey'>): string {
  const plain = key.length === 1 ? key.toLowerCase() : key
  if (ctrlKey || metaKey) return `Ctrl+${plain}`
  if (altKey) return `Alt+${key}`
  const placed = BY_PLACE[code]
  if (shiftKey && placed) return `Shift+${placed}`
  return shiftKey && key.startsWith('Arrow') ? `Shift+${key}` : plain
}

const ARROWS: Readonly<Record<string, string>> = {
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
}

/** A key as it is read: `N`, `Alt+↑`, `Ctrl+S`. */
export const keyShown = (name: string): string =>
  name
    .split(/(?<=.)\+/)
    .map((part) => ARROWS[part] ?? (part.length === 1 ? part.toUpperCase() : part))
    .join('+')

/** Whether a key belongs to a field: there only the browser's own meaning counts. */
export function isTyping(target: EventTarget | null): boolean {
  const element = target instanceof HTMLElement ? target : null
  return Boolean(
    element?.closest(
      'input:not([type="checkbox"]), textarea, select, [contenteditable="true"], [role="listbox"]',
    ),
  )
}
