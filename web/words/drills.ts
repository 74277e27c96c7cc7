import { waterside, wording } from '../../core/index.ts'
import type { DisplayUnits, drill, Posture } from '../../core/index.ts'

/** Plain labels of the drills. */
export const labels = {
  drills: 'Drills',
  backToOutings: 'All outings',
  about: 'Three minutes each, from your own flies, boxes and waters. What was missed comes again first.',
  start: 'Start',
  stop: 'Stop',
  next: 'Next',
  right: 'Right.',
  notSo: 'Not so.',
  answers: 'Your answer',
  turningThePages: 'Turning the pages …',
  /** as high as how a drill stands, so that no row moves under the pointer */
  reading: 'the next outing is read …',
  neverDone: 'not begun',
  nothingMissed: 'Nothing was missed.',
  missed: 'Missed, and asked again first:',
  nothingAnswered: 'Nothing was answered.',
  timeIsUp: 'Three minutes are over: this is the last one.',
  timeLeft: 'Time left',
  noBeat: 'it keeps no beat',
  trueSize: 'Is it true? Lay a bank card on the screen, in Settings.',
  gaps: 'Gaps between its rises',
} as const

/** What a drill asks, as a heading. */
export const drillTitle = (key: drill.Drill): string => {
  const name = wording.drillName[key]
  return name.charAt(0).toUpperCase() + name.slice(1)
}

/** What a drill needs that is not there yet. */
export const NEEDS: Readonly<Record<drill.Drill, string>> = {
  afterTheCut: 'No fly in the boxes can be cut so that it sits lower.',
  riseForm: 'Make a water first: what lives in it is asked about.',
  dunOrSpent: 'No mayflies live in your waters, as far as the larder says.',
  leadACruiser: 'Design a fly first.',
  theBeat: '',
  hookSize: 'Make a water first: what lives in it is asked about.',
  howDeep: 'No fly in the boxes sinks.',
  flyForSigns: 'Plan an outing first, and have some flies that differ.',
}

/** How a drill stands: what was missed, what is due, when the next is. */
export function standingSentence(standings: readonly drill.SubjectStanding[], nowMs: number): string {
  if (standings.length === 0) return labels.neverDone
  const missed = standings.filter(({ isMissed }) => isMissed).length
  const due = standings.filter(({ isMissed, dueMs }) => !isMissed && dueMs <= nowMs).length
  if (missed + due > 0)
    return [missed > 0 ? `${missed} missed` : '', due > 0 ? `${due} due again` : ''].filter(Boolean).join(', ')
  const days = Math.ceil((Math.min(...standings.map(({ dueMs }) => dueMs)) - nowMs) / 86_400_000)
  return days <= 1 ? 'due again tomorrow' : `due again in ${days} days`
}

const CRUISE: Readonly<Record<waterside.Cruise, string>> = {
  slow: 'slowly',
  usual: 'as they mostly do',
  fast: 'fast',
}
const seconds = (s: number) => `${Math.round(s)} s`

/** What is asked, and why the right answer is right. */
export const ask = {
  howDeep: (fly: string, { countS }: drill.Counted) =>
    `${fly} is let fall for a count of ${countS} seconds, its line trailing. How deep is it?`,
  lead: (fly: string, { cruise, depthMm }: drill.Cruising, units: DisplayUnits) =>
    `A fish swims across ${depthMm === 0 ? 'just under the surface' : `at ${wording.fineDepth(depthMm, units)}`}, ${CRUISE[cruise]} (${wording.speed(waterside.CRUISES_MM_PER_S[cruise], units)}). How far before it does ${fly} land?`,
  beat: 'A fish rises. When does it rise next?',
  hook: 'A natural at its true size (its body, without tails). On which hook is it tied?',
  mayfly: 'A mayfly, seen from below. What is it?',
  rise: 'A fish takes like this. What is it on?',
  cut: (fly: string, from: Posture, done: string) =>
    `${fly} rides ${wording.postureWord[from]}. After this cut (${done}), how does it ride?`,
  signs: 'You see this. Which of your flies is something to show to most fish?',
} as const

export const why = {
  howDeep: (fallMmPerS: number, { countS }: drill.Counted, units: DisplayUnits) =>
    `It falls ${wording.speed(fallMmPerS, units)}; ${countS} seconds make ${wording.fineDepth(fallMmPerS * countS, units)}.`,
  lead(
    fly: Pick<drill.OwnFly, 'fallMmPerS'>,
    { cruise, depthMm, lead }: drill.Cruising,
    units: DisplayUnits,
  ): string {
    const swims = wording.speed(waterside.CRUISES_MM_PER_S[cruise], units)
    const down =
      fly.fallMmPerS === null
        ? 'It floats, and is still for a second'
        : `It is down after ${seconds(depthMm / fly.fallMmPerS)}, and still for one more`
    const downS = fly.fallMmPerS === null ? 0 : depthMm / fly.fallMmPerS
    const meanwhileMm = (downS + 1) * waterside.CRUISES_MM_PER_S[cruise]
    const ahead = wording.fineDepth(lead.aheadMm, units)
    const startles = meanwhileMm < lead.aheadMm ? ` Nearer than ${ahead} it startles the fish.` : ''
    return `${down}; the fish swims ${swims}, ${wording.fineDepth(meanwhileMm, units)} meanwhile.${startles} Move it after ${seconds(lead.moveAfterS)}.`
  },
  beat: (beat: drill.BeatOf): string =>
    beat === 'none'
      ? 'Long gaps and short ones come as they like: put the fly over it when it shows.'
      : beat === 'slowing'
        ? 'It rises evenly, and each gap is a little longer: it fills up.'
        : 'It rises evenly: put the fly down so that it is over it then.',
  hook: (name: string, mm: string, sizes: readonly string[]) =>
    `${name}, ${mm}: tied on ${wording.hookSizes(sizes)}.`,
  mayfly: {
    emerger: 'Its rear hangs below the film in the shuck, the wing is a crumpled tuft at the thorax.',
    dun: 'Only feet and belly touch the film; the wings stand up, and their tips show at the edge of the window.',
    spinner:
      'The wings lie flat in the film to both sides, clear, each with its own light; the body lies in it.',
  } satisfies Record<drill.MayflyStage, string>,
  rise: (name: string, text: string, note: string) => `${text}: ${name}. ${note}`,
  signs: (fly: string, of: string | null) =>
    of === null
      ? `The signs say little of one food: ${fly} does for whatever comes.`
      : `The signs speak for ${of}; of what you have, ${fly} is something to show to most fish then.`,
} as const

/** How a mayfly lies, in a word. */
export const MAYFLY: Readonly<Record<drill.MayflyStage, string>> = {
  emerger: 'coming out',
  dun: 'a dun',
  spinner: 'spent',
}

/** When a fish rises next: `in 7–9 s`. */
export function nextRiseWords(next: drill.NextRise): string {
  if (next === null) return labels.noBeat
  const round = (s: number) => (s < 10 ? s.toFixed(1) : s.toFixed(0))
  return `in ${round(next.fromS)}–${round(next.toS)} s`
}
