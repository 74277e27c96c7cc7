import { breath } from '../clock/breath.ts'
import type { Database } from '../db/database.ts'
import { isClosed } from '../db/errors.ts'
import { loadFiguresToCome } from '../read/variants.ts'
import { refreshFigures } from './figures.ts'

/** Works figures out behind, a few at a time, so that pages are answered meanwhile. */
export interface FigureKeeper {
  /** Looks for recipes without figures; answers when there are none left, or the database was closed. */
  readonly catchUp: () => Promise<void>
}

/** Figures that one transaction brings: others wait to write for no longer. */
const AT_ONCE = 8

/**
 * Keeps the figures of a database complete.
 *
 * @param onFault told what went wrong; the figures that lack come with the next look
 */
export function makeFigureKeeper(database: Database, onFault: (error: unknown) => void): FigureKeeper {
  let running: Promise<void> | null = null
  async function workThrough(): Promise<void> {
    try {
      while ((await loadFiguresToCome(database.db)) > 0) {
        await database.write((tx) => refreshFigures(tx, AT_ONCE))
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
