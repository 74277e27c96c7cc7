/** A value that is worked out when it is first asked for. */
export function once<Value>(make: () => Value): () => Value {
  let made: { readonly value: Value } | null = null
  return () => (made ??= { value: make() }).value
}
