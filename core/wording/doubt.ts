import type { DoubtShare, Fall } from '../evaluate/index.ts'

/** What doubt comes from. */
export const doubtName: Readonly<Record<DoubtShare['input'], string>> = {
  drag: 'drag of the dressing',
  tippet: 'drag of the line',
  hook: 'mass of the hook',
  bead: 'mass of the bead',
  wire: 'mass of the wire',
  dressing: 'how much dressing',
}

const WHAT_NARROWS: Readonly<Record<DoubtShare['input'], string>> = {
  drag: 'Time three drops of a metre or more',
  tippet: 'Stretch the line and let it soak, as how it curls is what nobody knows',
  hook: 'Weigh ten hooks',
  bead: 'Weigh ten beads',
  wire: 'Weigh a metre of the wire',
  dressing: 'Weigh ten finished flies',
}

/**
 * The one measurement that would narrow a fall's band most, and what is left of the band once the doubt of that input is
 * gone: `Weigh ten hooks: the band goes from ±25 % to ±18 %, at best.`
 */
export function narrowingSentence({ sinkSpeedMmPerS: { value, low, high }, doubt }: Fall): string | null {
  const [most] = doubt
  if (!most) return null
  const half = (high - low) / 2 / value
  const percent = (of: number) => `±${Math.round(100 * of)} %`
  const left = half * Math.sqrt(Math.max(1 - most.share, 0))
  return `${WHAT_NARROWS[most.input]}: the band goes from ${percent(half)} to ${percent(left)}, at best.`
}
