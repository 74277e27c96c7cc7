import { useEffect, useState } from 'react'

interface Typed {
  readonly value: string
  readonly onChange: (text: string) => void
  readonly onBlur: () => void
  readonly onEnter: () => void
  /** why what stands there is not kept */
  readonly fault: string | undefined
}

/** Saves what was typed; answers why it was refused, where it was. */
export type Saved = Promise<string | null>
type Save = (text: string) => Saved

interface Judging {
  /** whether a text can be kept; one that cannot goes when the field is left */
  readonly isGood?: (text: string) => boolean
  /** what is wrong with a text; one with a fault stays with it, and is not saved */
  readonly faultOf?: (text: string) => string | undefined
}

/** What stands in a field that is not what is kept, or was not when it was left. */
interface Standing {
  readonly text: string
  readonly isLeft: boolean
  readonly refused?: string
}

/**
 * A text that is saved where it stands, once its field is left. It is shown until what is kept has changed, and one that
 * was refused stays with the reason; then what is kept is shown, as saved, as another tab left it, or after an undo.
 *
 * @param onSave given what was typed, where that is not what is kept
 */
export function useTyped(
  kept: string,
  onSave: Save,
  { isGood = () => true, faultOf = () => undefined }: Judging = {},
): Typed {
  const [typed, setTyped] = useState<Standing | null>(null)
  useEffect(() => setTyped((now) => (now?.isLeft ? null : now)), [kept])
  const fault = typed && !typed.isLeft ? faultOf(typed.text) : typed?.refused
  const leave = () => {
    if (typed === null || typed.isLeft || fault !== undefined) return
    const { text } = typed
    if (text.trim() === kept || !isGood(text)) {
      setTyped(null)
      return
    }
    const left = { text, isLeft: true }
    setTyped(left)
    void onSave(text).then((refused) => {
      // typed anew meanwhile, or kept by another tab: it is no more about what stands there
      if (refused !== null) setTyped((now) => (now === left ? { ...left, refused } : now))
    })
  }
  return {
    value: typed?.text ?? kept,
    fault,
    onChange: (text) => setTyped({ text, isLeft: false }),
    onBlur: leave,
    onEnter: leave,
  }
}
