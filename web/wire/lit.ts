import { useAppSelector } from './store.ts'

interface Pointable {
  readonly id: string
}

/** Whether this is what is pointed at, here or elsewhere. Who asks so is drawn anew only when it lights up or goes out. */
export const useIsLit = (id: string | null): boolean =>
  useAppSelector(({ view }) => id !== null && view.lit === id)

/** That of a list which is pointed at; undefined where it is none of them, or nothing. */
export const useLitAmong = <Item extends Pointable>(list: readonly Item[]): Item | undefined =>
  useAppSelector(({ view }) => list.find(({ id }) => id === view.lit))
