import type { ReactNode } from 'react'
import { drill, hooksForNatural, waterside, wording } from '../../../../core/index.ts'
import type { DisplayUnits } from '../../../../core/index.ts'
import type { DrillsView } from '../../../../contract/index.ts'
import { ListedFly } from '../../../drawing/ListedFly.tsx'
import { Quiet } from '../../../ui/layout.tsx'
import { ask, labels, MAYFLY, nextRiseWords, why } from '../../../words/drills.ts'
import { Gaps } from './Gaps.tsx'
import { MayflyFromBelow, Natural } from './Natural.tsx'
import { RiseFormDrawn } from './RiseFormDrawn.tsx'

/** A question as it is shown. */
export interface Asked {
  readonly subject: string
  /** what the question is about, for what was missed */
  readonly about: string
  readonly ask: string
  readonly picture: ReactNode
  readonly choices: readonly string[]
  readonly right: number
  readonly why: string
}

/** What questions are made of. */
export interface DrilledFrom {
  readonly view: DrillsView
  /** what fish may be on at the next outing, and what does for it; null where there is none */
  readonly day: (drill.ADay & { readonly nameOf: (key: string) => string }) | null
  readonly units: DisplayUnits
  readonly pxPerMm: number
}

/** A drill: what it can be asked about, and its question about one of that. */
interface DrillOf {
  readonly subjects: (from: DrilledFrom) => readonly string[]
  readonly question: (random: () => number, subject: string, from: DrilledFrom) => Asked | null
}

/** Twice as large as life: to be told, not to be measured. */
const LARGE = 2

const flyOf = ({ view }: DrilledFrom, key: string) => view.flies.find(({ variantId }) => variantId === key)
const stageOf = ({ view }: DrilledFrom, key: string) =>
  view.stages.find(({ foodStageId }) => foodStageId === key)
const ownFlies = ({ view }: DrilledFrom) =>
  view.flies.map(({ variantId, fallMmPerS, floats }) => ({ key: variantId as string, fallMmPerS, floats }))
const ownStages = ({ view }: DrilledFrom): readonly drill.OwnStage[] =>
  view.stages.map(({ foodStageId, ...stage }) => ({ ...stage, key: foodStageId }))
const picture = ({ pxPerMm }: DrilledFrom, drawingKey: string | null) => (
  <ListedFly drawingKey={drawingKey} pxPerMm={pxPerMm * LARGE} />
)
const depths = (mm: readonly number[], { units }: DrilledFrom) => mm.map((one) => wording.fineDepth(one, units))

const howDeep: DrillOf = {
  subjects: (from) => ownFlies(from).flatMap(({ key, fallMmPerS }) => (fallMmPerS ? [key] : [])),
  question(random, subject, from) {
    const fly = flyOf(from, subject)
    const made = fly && drill.howDeep(random, { key: subject, fallMmPerS: fly.fallMmPerS })
    return made
      ? {
          ...{ subject, about: fly.name, ask: ask.howDeep(fly.name, made.shown) },
          picture: picture(from, fly.drawingKey),
          choices: depths(made.choices, from),
          right: made.right,
          why: why.howDeep(fly.fallMmPerS ?? 0, made.shown, from.units),
        }
      : null
  },
}

const leadACruiser: DrillOf = {
  subjects: (from) => ownFlies(from).flatMap(({ key, fallMmPerS, floats }) => (floats || fallMmPerS ? [key] : [])), // prettier-ignore
  question(random, subject, from) {
    const fly = flyOf(from, subject)
    const made = fly && drill.leadACruiser(random, { key: subject, fallMmPerS: fly.fallMmPerS })
    return made
      ? {
          ...{ subject, about: fly.name, ask: ask.lead(fly.name, made.shown, from.units) },
          picture: picture(from, fly.drawingKey),
          choices: depths(made.choices, from),
          right: made.right,
          why: why.lead(fly, made.shown, from.units),
        }
      : null
  },
}

const afterTheCut: DrillOf = {
  subjects: ({ view }) => view.flies.flatMap(({ variantId, cut }) => (cut ? [variantId as string] : [])),
  question(_random, subject, from) {
    const fly = flyOf(from, subject)
    if (!fly?.cut) return null
    const made = drill.afterTheCut({ key: subject, ...fly.cut })
    return {
      ...{ subject, about: fly.name, ask: ask.cut(fly.name, fly.cut.from, fly.cut.done) },
      picture: picture(from, fly.drawingKey),
      choices: made.choices.map((posture) => wording.postureWord[posture]),
      right: made.right,
      why: `${fly.cut.becomes}.`,
    }
  },
}

const theBeat: DrillOf = {
  subjects: () => drill.BEATS,
  question(random, subject) {
    const beat = drill.BEATS.find((one) => one === subject)
    const made = beat && drill.theBeat(random, beat)
    return made
      ? {
          ...{ subject, about: why.beat(beat), ask: ask.beat },
          picture: <Gaps gapsS={made.shown.gapsS} />,
          choices: made.choices.map(nextRiseWords),
          right: made.right,
          why: why.beat(beat),
        }
      : null
  },
}

const hookSize: DrillOf = {
  subjects: (from) => ownStages(from).flatMap(({ key, hookRanges }) => (hookRanges.length > 0 ? [key] : [])),
  question(random, subject, from) {
    const stage = stageOf(from, subject)
    const made = stage && drill.hookSize(random, { ...stage, key: subject })
    if (!made) return null
    const { lengthMm } = made.shown
    return {
      ...{ subject, about: stage.name, ask: ask.hook },
      picture: (
        <>
          <Natural {...stage} hex={stage.hexWet} lengthMm={lengthMm} pxPerMm={from.pxPerMm} />
          <p>
            <Quiet>{labels.trueSize}</Quiet>
          </p>
        </>
      ),
      choices: made.choices.map((size) => `#${size}`),
      right: made.right,
      why: why.hook(
        stage.name,
        wording.smallLength(lengthMm, from.units),
        hooksForNatural(stage.hookRanges, lengthMm, lengthMm),
      ),
    }
  },
}

const dunOrSpent: DrillOf = {
  subjects: (from) => ownStages(from).flatMap((stage) => (drill.isMayfly(stage) ? [stage.key] : [])),
  question(random, subject, from) {
    const stage = stageOf(from, subject)
    const made = stage && drill.dunOrSpent(random, { ...stage, key: subject })
    const lies = made?.choices[made.right]
    return made && lies
      ? {
          ...{ subject, about: stage.name, ask: ask.mayfly },
          picture: <MayflyFromBelow stage={lies} hex={stage.hexWet} turnDeg={made.shown.turnDeg} />,
          choices: made.choices.map((one) => MAYFLY[one]),
          right: made.right,
          why: `${stage.name}. ${why.mayfly[lies]}`,
        }
      : null
  },
}

const riseForm: DrillOf = {
  subjects: (from) => (from.view.stages.length > 0 ? drill.RISE_FORMS : []),
  question(random, subject, from) {
    const form = drill.RISE_FORMS.find((one) => one === subject)
    const made = form && drill.riseForm(random, form, ownStages(from))
    const sign = waterside.SIGNS.find(({ key }) => key === subject)
    const nameOf = (key: string) => stageOf(from, key)?.name ?? key
    return made && sign
      ? {
          ...{ subject, about: sign.text, ask: ask.rise },
          picture: <RiseFormDrawn form={form} />,
          choices: made.choices.map(nameOf),
          right: made.right,
          why: why.rise(nameOf(made.choices[made.right] ?? ''), sign.text, sign.note),
        }
      : null
  },
}

const flyForSigns: DrillOf = {
  subjects: ({ day }) => (day ? drill.askable(day) : []),
  question(random, subject, { day }) {
    const made = day && drill.flyForSigns(random, subject, day)
    if (!made) return null
    const signs = made.shown.signs.map((key) => waterside.SIGNS.find((sign) => sign.key === key)?.text ?? key)
    const right = day.nameOf(made.choices[made.right] ?? '')
    return {
      ...{ subject, about: signs.join('; '), ask: ask.signs },
      picture: (
        <ul>
          {signs.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      ),
      choices: made.choices.map(day.nameOf),
      right: made.right,
      why: why.signs(right, made.shown.stage && day.nameOf(made.shown.stage)),
    }
  },
}

/** The drills by their keys. */
export const DRILL_OF: Readonly<Record<drill.Drill, DrillOf>> = {
  afterTheCut, riseForm, dunOrSpent, leadACruiser, theBeat, hookSize, howDeep, flyForSigns,
} // prettier-ignore

/** The next question of a drill; null where it has none. What cannot be asked about just now is passed over. */
export function nextAsked(
  random: () => number,
  key: drill.Drill,
  from: DrilledFrom,
  {
    standings,
    asked: before,
  }: { readonly standings: readonly drill.SubjectStanding[]; readonly asked: readonly string[] },
): Asked | null {
  let left = DRILL_OF[key].subjects(from)
  while (left.length > 0) {
    const subject = drill.nextSubject(random, left, standings, { atMs: Date.now(), asked: before })
    if (subject === undefined) return null
    const asked = DRILL_OF[key].question(random, subject, from)
    if (asked) return asked
    left = left.filter((one) => one !== subject)
  }
  return null
}
