import { useEffect, useState } from 'react'

interface Typed {
  readonly value: string
  readonly onChange: (text: string) => void
  readonly onBlur: () => void
}

/**
 * A text that is saved where it stands, once its field is left. It is shown until what is kept has changed, so that one
 * that was refused is not lost; then what is kept is shown, as saved, as another tab left it, or after an undo.
 *
 * @param onSave given what was typed, where that is not what is kept
 * @param isGood whether a text can be kept; one that cannot is not saved and goes when the field is left
 */
export function useTyped(
  kept: string,
  onSave: (text: string) => void,
  isGood: (text: string) => boolean = () => true,
): Typed {
  const [typed, setTyped] = useState<{ readonly text: string; readonly isLeft: boolean } | null>(null)
  useEffect(() => setTyped((now) => (now?.isLeft ? null : now)), [kept])
  return {
    value: typed?.text ?? kept,
    onChange: (text) => setTyped({ text, isLeft: false }),
    onBlur: () => {
      if (typed === null) return
      const { text } = typed
      const isToSave = text.trim() !== kept && isGood(text)
      setTyped(isToSave ? { text, isLeft: true } : null)
      if (isToSave) onSave(text)
    },
  }
}
