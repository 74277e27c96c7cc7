import { act } from 'react'

/** What React tells of a component that was drawn: as much of it as is asked here. */
interface Fiber {
  readonly type: unknown
  readonly flags: number
  readonly memoizedProps: unknown
  readonly memoizedState: unknown
  readonly child: Fiber | null
  readonly sibling: Fiber | null
  readonly alternate: Fiber | null
}
type Listener = (top: Fiber) => void

/** Where React looks for a tool that it is to tell what it draws, once and before it draws: this is loaded first. */
const TOOL = '__REACT_DEVTOOLS_GLOBAL_HOOK__'
const ONE_WAS_DRAWN = 1

const listeners: Set<Listener> = ((globalThis as { [TOOL]?: { readonly listeners: Set<Listener> } })[TOOL] ??=
  toolOf(new Set())).listeners

function toolOf(told: Set<Listener>) {
  return {
    listeners: told,
    supportsFiber: true,
    inject: () => 1,
    onCommitFiberRoot: (_renderer: number, { current }: { readonly current: Fiber }) =>
      told.forEach((listen) => listen(current)),
    onCommitFiberUnmount: () => undefined,
    onPostCommitFiberRoot: () => undefined,
  }
}

const nameOf = ({ type }: Fiber): string | null => {
  if (typeof type === 'function') return type.name
  // kept by memo, or handed its ref
  const around = type as { readonly type?: unknown; readonly render?: unknown } | null
  const inner = around?.type ?? around?.render
  return typeof inner === 'function' ? inner.name : null
}

const isDrawn = ({ flags, alternate, memoizedProps, memoizedState }: Fiber): boolean =>
  (flags & ONE_WAS_DRAWN) !== 0 &&
  (!alternate || alternate.memoizedProps !== memoizedProps || alternate.memoizedState !== memoizedState)

/** Counts what was drawn in one go, by name; what was left as it stood keeps the children that it had. */
function count(fiber: Fiber | null, counts: Map<string, number>): void {
  for (let at = fiber; at; at = at.sibling) {
    const name = nameOf(at)
    if (name && isDrawn(at)) counts.set(name, (counts.get(name) ?? 0) + 1)
    if (at.child !== at.alternate?.child || isDrawn(at)) count(at.child, counts)
  }
}

/** Counts of what is drawn from now on, until they are asked for. */
function watch(): () => ReadonlyMap<string, number> {
  const counts = new Map<string, number>()
  const listen = (top: Fiber) => count(top.child, counts)
  listeners.add(listen)
  return () => {
    listeners.delete(listen)
    return counts
  }
}

/** Which components were drawn at once for something that was done, by their names, and how often. */
export function drawnFor(work: () => void): ReadonlyMap<string, number> {
  const counts = watch()
  act(work)
  return counts()
}

/** Which components were drawn until something was over that takes its time. */
export async function drawnDuring(work: () => Promise<unknown>): Promise<ReadonlyMap<string, number>> {
  const counts = watch()
  await work()
  return counts()
}
