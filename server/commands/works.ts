import { makeBreath } from '../clock/breath.ts'
import { ProblemError } from '../problems/problem.ts'

/** A long write that is under way. */
export interface Work {
  readonly id: string
  /** lines that are through, and how many there are */
  readonly done: number
  readonly total: number
}

/** How a long write goes on: in slices, so that others are answered between them. */
export interface Pace {
  /** says how many lines there will be */
  readonly expect: (total: number) => void
  /**
   * One line is through.
   *
   * @throws ProblemError `stopped` where the user has stopped it: its transaction leaves nothing behind
   */
  readonly step: () => Promise<void>
  /** Lets others have their turn where a slice is over, in the middle of what counts as no line. */
  readonly breathe: () => Promise<void> | undefined
}

/** Long writes that are under way, by the ids of their commands. */
export interface Works {
  readonly all: () => readonly Work[]
  /** Stops one; answers whether it was there to be stopped. */
  readonly stop: (id: string) => boolean
  /** Runs a write that goes on at a pace. */
  readonly run: <T>(id: string, write: (pace: Pace) => Promise<T>) => Promise<T>
}

/** Keeps the long writes of a server. */
export function makeWorks(): Works {
  const running = new Map<string, Work & { readonly stopped: boolean }>()
  return {
    all: () => [...running.values()].map(({ id, done, total }) => ({ id, done, total })),
    stop(id) {
      const work = running.get(id)
      if (work) running.set(id, { ...work, stopped: true })
      return work !== undefined
    },
    async run(id, write) {
      const breathe = makeBreath()
      const pace: Pace = {
        expect(total) {
          running.set(id, { id, done: 0, total, stopped: false })
        },
        async step() {
          const work = running.get(id)
          if (work?.stopped) throw new ProblemError('stopped', 'Stopped: nothing of it was put in.')
          if (work) running.set(id, { ...work, done: work.done + 1 })
          await breathe()
        },
        breathe,
      }
      try {
        return await write(pace)
      } finally {
        running.delete(id)
      }
    },
  }
}
