import { useState } from 'react'

const keyOf = (name: string) => `heavy-thistle:look:${name}`

/** How something is looked at, kept in this browser: one of some words. What was kept and is none of them is forgotten. */
export function useKept<Word extends string>(
  name: string,
  words: readonly [Word, ...Word[]],
): readonly [Word, (word: Word) => void] {
  const [word, setWord] = useState<Word>(() => {
    const kept = localStorage.getItem(keyOf(name))
    return words.find((one) => one === kept) ?? words[0]
  })
  return [
    word,
    (next) => {
      localStorage.setItem(keyOf(name), next)
      setWord(next)
    },
  ]
}
