/** What the last note changed, a line for each food. */
export function WhatItChanged({ said }: { readonly said: readonly string[] }) {
  return (
    <div role="status" aria-label="What the note changed">
      {said.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </div>
  )
}
