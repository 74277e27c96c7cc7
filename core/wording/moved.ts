import type { MoveCause } from '../evaluate/index.ts'

/** Why a figure moved with the last version, in a tier's words. */
export const moveCause: Readonly<Record<MoveCause, string>> = {
  overlap: 'what lies over a part of a body only is as thick as that part makes it',
}
