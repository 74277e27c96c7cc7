import { breath, makeBreath } from '../clock/breath.ts'
import { giveWay } from '../clock/underWay.ts'
import type { Database } from '../db/database.ts'
import { isClosed } from '../db/errors.ts'
import { lastWriteTo } from '../db/kept.ts'
import { loadFiguresToCome } from '../read/variants.ts'
import { FIGURES_FROM, keepFigures, workOutFigures } from './figures.ts'

/** Works figures out behind, so that pages are answered meanwhile. */
export interface FigureKeeper {
  /** Looks for recipes without figures; answers when there are none left, or the database was closed. */
  readonly catchUp: () => Promise<void>
}

/** New figures make every list of flies stale, so that they come no oftener than this. */
const EVERY_MS = 2000
/** Where what they are reckoned from keeps changing they come as often as this, or they would never come. */
const AT_LEAST_MS = 30
/** Figures that one transaction brings at most: others wait to write for no longer. */
const AT_ONCE = 250
/** So long a slice of the work waits for answers that are being made. */
const LONGEST_WAIT_MS = 100
/** While it brings figures others wait to write, and it waits for less. */
const LONGEST_WAIT_WRITING_MS = 20

/**
 * Keeps the figures of a database complete. They are worked out before the write that brings them, which others need
 * not wait for, and anew where what they are reckoned from has changed meanwhile.
 *
 * @param onFault told what went wrong; the figures that lack come with the next look
 */
export function makeFigureKeeper({ db, write }: Database, onFault: (error: unknown) => void): FigureKeeper {
  let running: Promise<void> | null = null
  const breathe = makeBreath(() => giveWay(db, LONGEST_WAIT_MS))
  const breatheWriting = makeBreath(() => giveWay(db, LONGEST_WAIT_WRITING_MS))
  async function workThrough(): Promise<void> {
    let stretchMs = EVERY_MS
    try {
      while ((await loadFiguresToCome(db)) > 0) {
        const reckonedFrom = lastWriteTo(db, FIGURES_FROM)
        const untilMs = performance.now() + stretchMs
        const figures = await workOutFigures(db, AT_ONCE, () => performance.now() > untilMs, breathe)
        await write(async (tx) => {
          const isOfNow = lastWriteTo(db, FIGURES_FROM) === reckonedFrom
          if (isOfNow) await keepFigures(tx, figures, breatheWriting)
          stretchMs = isOfNow ? Math.min(stretchMs * 2, EVERY_MS) : Math.max(stretchMs / 4, AT_LEAST_MS)
        })
        await breath()
      }
    } catch (error) {
      if (!isClosed(error)) onFault(error)
    }
  }
  return {
    catchUp: () =>
      (running ??= workThrough().finally(() => {
        running = null
      })),
  }
}
