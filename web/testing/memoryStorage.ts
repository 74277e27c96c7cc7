/** The browser's storage as far as pages use it, for tests that run without a browser. */
export function memoryStorage(): Storage {
  const kept = new Map<string, string>()
  return {
    get length() {
      return kept.size
    },
    clear: () => kept.clear(),
    getItem: (key) => kept.get(key) ?? null,
    key: (n) => [...kept.keys()][n] ?? null,
    removeItem: (key) => void kept.delete(key),
    setItem: (key, value) => void kept.set(key, String(value)),
  }
}
