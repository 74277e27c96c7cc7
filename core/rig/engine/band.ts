/** A symmetric matrix of which only a band beside the diagonal is filled: its lower half, a row after the other. */
export interface Band {
  readonly size: number
  /** how many places left of the diagonal may be filled */
  readonly width: number
  readonly cells: Float64Array
}

export const emptyBand = (size: number, width: number): Band => ({
  size,
  width,
  cells: new Float64Array(size * (width + 1)),
})

/** Adds to a place; of the two that mirror each other only the lower one is kept. */
export function addTo({ width, cells }: Band, row: number, column: number, value: number): void {
  if (column <= row) cells[row * (width + 1) + width + column - row]! += value
}

/**
 * Solves `band · x = right` by Cholesky's way, in place: the band holds its factor afterwards, `right` the answer.
 * Positive definite it has to be; a pivot that rounding took below nought is set to the least that works.
 */
export function solveBand({ size, width, cells }: Band, right: Float64Array): void {
  const stride = width + 1
  for (let i = 0; i < size; i += 1) {
    const row = i * stride + width - i
    const first = Math.max(0, i - width)
    for (let j = first; j <= i; j += 1) {
      const other = j * stride + width - j
      let value = cells[row + j]!
      for (let k = Math.max(first, j - width); k < j; k += 1) value -= cells[row + k]! * cells[other + k]!
      cells[row + j] = i === j ? Math.sqrt(Math.max(value, LEAST_PIVOT)) : value / cells[other + j]!
    }
    let value = right[i]!
    for (let k = first; k < i; k += 1) value -= cells[row + k]! * right[k]!
    right[i] = value / cells[row + i]!
  }
  for (let i = size - 1; i >= 0; i -= 1) {
    const row = i * stride + width - i
    const value = right[i]! / cells[row + i]!
    right[i] = value
    for (let k = Math.max(0, i - width); k < i; k += 1) right[k]! -= cells[row + k]! * value
  }
}

const LEAST_PIVOT = 1e-12
