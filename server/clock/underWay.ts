import { breath } from './breath.ts'

/** How many answers are being made, by the database that they are read from. */
const underWay = new WeakMap<object, number>()

const countedAs = (db: object, change: number) => underWay.set(db, (underWay.get(db) ?? 0) + change)

/** Makes an answer, and counts it as under way until it is there or failed. */
export async function whileAnswering<T>(db: object, make: () => Promise<T>): Promise<T> {
  countedAs(db, 1)
  try {
    return await make()
  } finally {
    countedAs(db, -1)
  }
}

/** Takes a breath, and waits on while answers are being made: work behind gives way to whoever waits, but not for ever. */
export async function giveWay(db: object, mostMs: number): Promise<void> {
  const untilMs = performance.now() + mostMs
  do await breath()
  while ((underWay.get(db) ?? 0) > 0 && performance.now() < untilMs)
}
