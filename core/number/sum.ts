/** All of them together; nought for none. */
export const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0)

/** Their arithmetic mean. NaN for none: ask only where there are some. */
export const mean = (values: readonly number[]): number => sum(values) / values.length
