/** From each value to the next: all above nought where a series rises, none where two of it are equal. */
export const stepsOf = (values: readonly number[]): readonly number[] =>
  values.slice(1).map((value, i) => value - (values[i] ?? NaN))
