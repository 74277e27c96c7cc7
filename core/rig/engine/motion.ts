import type { Net } from './net.ts'

/** Where a rig's nodes are, how fast they go, and what pulls in its segments. */
export interface Motion {
  readonly net: Net
  /** 2 in the plane of the current, 3 where a line swings; depth comes last */
  readonly dims: 2 | 3
  readonly at: Float64Array
  readonly speed: Float64Array
  /** mg a segment */
  readonly tension: Float64Array
  /** nodes that something holds, at the depth and place that they have */
  readonly held: ReadonlySet<number>
  /** nodes that swim: free to drift, held at the surface */
  readonly afloat: ReadonlySet<number>
}

/** Where a node is: downstream, across where there is one, and down, mm. */
export const placeOf = ({ at, dims }: Motion, node: number): readonly number[] => [
  ...at.subarray(node * dims, (node + 1) * dims),
]

/** How deep a node is, mm. */
export const depthOf = ({ at, dims }: Motion, node: number): number => at[node * dims + dims - 1] ?? 0
