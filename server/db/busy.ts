import { isBusy } from './errors.ts'

/** Waits between tries while another program holds the database: 3 s in all. */
const PAUSES_MS = [10, 20, 40, 80, 150, 300, 600, 800, 1000]

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/**
 * Does what may find the database held by another program, and tries again for 3 s.
 *
 * @param work   leaves nothing behind where it fails
 * @param afresh run after each refusal: the driver's connection keeps a refused statement open and can never commit again
 */
export async function patiently<T>(work: () => Promise<T>, afresh: () => unknown): Promise<T> {
  for (const ms of PAUSES_MS) {
    try {
      return await work()
    } catch (error) {
      if (!isBusy(error)) throw error
      await afresh()
      await pause(ms)
    }
  }
  try {
    return await work()
  } catch (error) {
    if (isBusy(error)) await afresh()
    throw error
  }
}
