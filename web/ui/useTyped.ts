import { useState } from 'react'

interface Typed {
  readonly value: string
  readonly onChange: (text: string) => void
  readonly onBlur: () => void
}

/**
 * A text that is saved where it stands, once its field is left. What is not being typed is shown as it is kept now: of
 * another record, as another tab left it, or after an undo.
 *
 * @param onSave given what was typed, where that is not what is kept
 * @param isGood  whether a text can be kept; one that cannot is not saved and goes when the field is left
 */
export function useTyped(
  kept: string,
  onSave: (text: string) => void,
  isGood: (text: string) => boolean = () => true,
): Typed {
  const [typed, setTyped] = useState<string | null>(null)
  return {
    value: typed ?? kept,
    onChange: setTyped,
    onBlur: () => {
      if (typed !== null && typed.trim() !== kept && isGood(typed)) onSave(typed)
      setTyped(null)
    },
  }
}
