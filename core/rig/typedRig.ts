import { parseQuantity } from '../quantity/index.ts'
import { tippetDiameterMm } from './spool.ts'
import { floatMg, KNOTS, LINE_SORTS, STUFFS, USUAL_PART } from './parts.ts'
import type { Knot, RigPart } from './parts.ts'

/** A fly that a rig may carry, by its name. */
export interface FlyByName {
  readonly id: string
  readonly name: string
}

/** What was not said of a part and is taken as usual. */
export type Assumed = 'length' | 'diameter' | 'rate' | 'butt' | 'tip' | 'stuff' | 'mass'

/** Why a phrase is not understood. */
export type Unread = 'nothing' | 'length' | 'diameter' | 'mass' | 'fly' | 'knot'

/** One phrase of a typed rig: the part that it is, and what of it is a guess; or why it is none. */
export type RigPhrase =
  | { readonly text: string; readonly part: RigPart; readonly assumed: readonly Assumed[] }
  | { readonly text: string; readonly part: null; readonly unread: Unread; readonly near: readonly string[] }

const FIGURE = '(?:\\d+\\s+\\d+/\\d+|\\d+/\\d+|\\d*[.,]\\d+|\\d+)'
const MEASURE = new RegExp(
  `(${FIGURE})\\s*(mm/s|cm/s|m/s|in/s|ips|mm|cm|m\\b|ft|feet|in\\b|inch(?:es)?|["”]|[\u2019\']|mg|g\\b|gr(?:ains?)?\\b|thou)?`,
  'giu',
)
const X_NUMBER = /\b(\d{1,2})\s*x\b/iu
const SPEEDS: ReadonlySet<string> = new Set(['mm/s', 'cm/s', 'm/s', 'in/s', 'ips'])
const WEIGHTS: ReadonlySet<string> = new Set(['mg', 'g', 'gr', 'grain', 'grains'])
/** Longer than this is a length along the rig, shorter a thickness, mm. */
const LEAST_LENGTH_MM = 10
/** No leader is thicker. */
const THICKEST_MM = 2.5
const MOST_LENGTH_MM = 60_000

interface Measures {
  readonly lengthMm: number | null
  readonly diametersMm: readonly number[]
  readonly massMg: number | null
  readonly rateMmPerS: number | null
}

/** The figures of a phrase by what they can be: a bare one is a thickness in millimetres, never a length. */
function measuresOf(text: string): Measures {
  let lengthMm: number | null = null
  let massMg: number | null = null
  let rateMmPerS: number | null = null
  const diametersMm: number[] = []
  const xNumber = X_NUMBER.exec(text)
  if (xNumber) diametersMm.push(tippetDiameterMm(Number(xNumber[1])))
  const read = (written: string, quantity: 'length' | 'speed' | 'mass', assumed: 'mm' | 'mm/s' | 'mg') => {
    const parsed = parseQuantity(written, quantity, assumed, { min: 0, max: 1e7 })
    return parsed.kind === 'quantity' ? parsed.value : null
  }
  for (const [whole, , unit = ''] of text.replace(X_NUMBER, ' ').matchAll(MEASURE)) {
    const said = unit.toLowerCase()
    if (SPEEDS.has(said)) rateMmPerS ??= read(whole.replace(/ips/iu, 'in/s'), 'speed', 'mm/s')
    else if (WEIGHTS.has(said)) massMg ??= read(whole, 'mass', 'mg')
    else {
      const mm = read(said === '' ? `${whole.trim()} mm` : whole, 'length', 'mm')
      if (mm === null) continue
      if (said !== '' && mm >= LEAST_LENGTH_MM && lengthMm === null) lengthMm = mm
      else if (mm > 0) diametersMm.push(mm)
    }
  }
  return { lengthMm, diametersMm, massMg, rateMmPerS }
}

const folded = (text: string) => text.normalize('NFC').toLowerCase().replace(/\s+/g, ' ').trim()

/** The fly that a text names: its whole name, or the only one whose name begins with or holds what is left of the phrase. */
function flyIn(text: string, flies: readonly FlyByName[]): FlyByName | readonly string[] | null {
  const wanted = folded(text)
  if (wanted === '') return null
  const whole = flies.find(({ name }) => folded(name) === wanted)
  if (whole) return whole
  const near = flies.filter(({ name }) => folded(name).includes(wanted))
  return near.length === 1 && near[0] ? near[0] : near.slice(0, 5).map(({ name }) => name)
}

const no = (text: string, unread: Unread, near: readonly string[] = []): RigPhrase => ({
  text,
  part: null,
  unread,
  near,
})

/** A part of the phrase that names a fly, or why that is not known. */
function withFly(
  text: string,
  rest: string,
  flies: readonly FlyByName[],
  partOf: (fly: string | null) => RigPart,
  assumed: readonly Assumed[] = [],
): RigPhrase {
  const found = flyIn(rest, flies)
  if (found === null) return { text, part: partOf(null), assumed }
  return 'id' in found ? { text, part: partOf(found.id), assumed } : no(text, 'fly', found)
}

const KNOT_WORDS: Readonly<Record<string, Knot>> = {
  ...Object.fromEntries(KNOTS.map((knot) => [knot, knot])),
  water: 'surgeon',
}

function knotOf(text: string): RigPhrase {
  const word = Object.keys(KNOT_WORDS).find((one) => folded(text).includes(one))
  const knot = word && KNOT_WORDS[word]
  return knot ? { text, part: { kind: 'knot', knot }, assumed: [] } : no(text, 'knot', KNOTS)
}

/** A first length of a phrase taken out of it, so that the rest can name a fly. */
const withoutLength = (text: string) =>
  text.replace(new RegExp(`${FIGURE}\\s*(?:mm|cm|m|ft|in|inch(?:es)?)\\b`, 'iu'), ' ')

function dropperOf(text: string, flies: readonly FlyByName[]): RigPhrase {
  const [before = ''] = text.split(/\bdroppers?\b/iu)
  const after = text.slice(before.length).replace(/^\s*droppers?\b/iu, '')
  const lengthAt = measuresOf(before).lengthMm === null ? after : before
  const own = new RegExp(`^\\s*${FIGURE}\\s*(?:mm|cm|m|ft|in|inch(?:es)?)\\b`, 'iu').exec(lengthAt)
  const lengthMm = own ? measuresOf(own[0]).lengthMm : null
  const rest = lengthAt === after && own ? withoutLength(after) : after
  return withFly(
    text,
    rest.replace(/^\s*(?:of|with|:)\s+/iu, ''),
    flies,
    (fly) => ({ kind: 'dropper', lengthMm: lengthMm ?? USUAL_PART.dropperMm, fly }),
    lengthMm === null ? ['length'] : [],
  )
}

function lineOf(text: string): RigPhrase {
  const { lengthMm, diametersMm, rateMmPerS } = measuresOf(text)
  const said = folded(text)
  const sort = LINE_SORTS.find((one) => said.includes(one)) ?? (rateMmPerS === null ? 'floating' : 'sinking')
  const usual = USUAL_PART.line[sort]
  const [diameterMm] = diametersMm
  const needsRate = sort === 'sinking' && rateMmPerS === null
  return {
    text,
    part: {
      kind: 'line',
      sort,
      lengthMm: lengthMm ?? usual.lengthMm,
      diameterMm: diameterMm ?? usual.diameterMm,
      rateMmPerS: needsRate ? USUAL_PART.line.sinking.rateMmPerS : rateMmPerS,
    },
    assumed: [
      ...(lengthMm === null ? (['length'] as const) : []),
      ...(diameterMm === undefined ? (['diameter'] as const) : []),
      ...(needsRate ? (['rate'] as const) : []),
    ],
  }
}

function leaderOf(text: string): RigPhrase {
  const { lengthMm, diametersMm } = measuresOf(text)
  if (lengthMm === null) return no(text, 'length')
  if (diametersMm.some((mm) => mm > THICKEST_MM)) return no(text, 'diameter')
  const stuff = STUFFS.find((one) => folded(text).includes(one))
  const thick = diametersMm.length > 1 ? Math.max(...diametersMm) : undefined
  const thin = diametersMm.length > 0 ? Math.min(...diametersMm) : undefined
  return {
    text,
    part: {
      kind: 'leader',
      lengthMm,
      buttMm: Math.max(thick ?? USUAL_PART.leader.buttMm, thin ?? 0),
      tipMm: thin ?? USUAL_PART.leader.tipMm,
      stuff: stuff ?? USUAL_PART.stuff,
    },
    assumed: [
      ...(thick === undefined ? (['butt'] as const) : []),
      ...(thin === undefined ? (['tip'] as const) : []),
      ...(stuff ? [] : (['stuff'] as const)),
    ],
  }
}

function tippetOf(text: string): RigPhrase {
  const { lengthMm, diametersMm } = measuresOf(text)
  if (lengthMm === null) return no(text, diametersMm.length > 0 ? 'length' : 'nothing')
  const [diameterMm] = diametersMm
  if (diameterMm === undefined || diameterMm > THICKEST_MM) return no(text, 'diameter')
  const stuff = STUFFS.find((one) => folded(text).includes(one))
  return {
    text,
    part: { kind: 'tippet', lengthMm, diameterMm, stuff: stuff ?? USUAL_PART.stuff },
    assumed: stuff ? [] : ['stuff'],
  }
}

function floatOf(text: string): RigPhrase {
  const { lengthMm, diametersMm, massMg } = measuresOf(text)
  const diameterMm = lengthMm ?? diametersMm[0]
  if (diameterMm === undefined) return no(text, 'diameter')
  return {
    text,
    part: { kind: 'float', diameterMm, massMg: massMg ?? floatMg(diameterMm) },
    assumed: massMg === null ? ['mass'] : [],
  }
}

function weightOf(text: string, kind: 'shot' | 'swivel' | 'ring'): RigPhrase {
  const { massMg } = measuresOf(text)
  if (massMg !== null) return { text, part: { kind, massMg }, assumed: [] }
  if (kind === 'shot') return no(text, 'mass')
  const usual = kind === 'swivel' ? USUAL_PART.swivelMg : USUAL_PART.ringMg
  return { text, part: { kind, massMg: usual }, assumed: ['mass'] }
}

const starts = (text: string, words: string) => new RegExp(`^(?:${words})\\b`, 'iu').test(text)

function phraseOf(text: string, flies: readonly FlyByName[]): RigPhrase {
  const after = (words: string) => text.replace(new RegExp(`^(?:${words})\\b:?`, 'iu'), '')
  if (starts(text, 'point(?: fly)?')) {
    const rest = after('point(?: fly)?')
    return withFly(text, rest, flies, (fly) => ({ kind: 'point', fly }))
  }
  if (starts(text, 'dry(?: fly)?'))
    return withFly(text, after('dry(?: fly)?'), flies, (fly) => ({ kind: 'dry', fly }))
  if (/\bdroppers?\b/iu.test(text)) return dropperOf(text, flies)
  if (/\bknot\b/iu.test(text)) return knotOf(text)
  if (/\b(?:float|indicator)\b/iu.test(text)) return floatOf(text)
  if (/\b(?:shot|lead|split)\b/iu.test(text)) return weightOf(text, 'shot')
  if (/\bswivel\b/iu.test(text)) return weightOf(text, 'swivel')
  if (/\bring\b/iu.test(text)) return weightOf(text, 'ring')
  if (/\bleader\b/iu.test(text)) return leaderOf(text)
  if (/\b(?:line|floating|intermediate|sinking)\b/iu.test(text)) return lineOf(text)
  return tippetOf(text)
}

/**
 * Reads a rig typed in one line, from the rod to the point: `12 m floating line, 2.7 m leader to 0.20, 60 cm 0.14, dropper
 * 15 cm Wet Slate, 50 cm 0.12, point`. A comma between two figures is a decimal.
 */
export const readTypedRig = (text: string, flies: readonly FlyByName[]): readonly RigPhrase[] =>
  text
    .split(/,(?!\d)|[;\n]/u)
    .map((phrase) => phrase.trim())
    .filter((phrase) => phrase !== '')
    .map((phrase) => phraseOf(phrase, flies))
    .map(withinReason)

/** What no rod casts is asked about. */
function withinReason(phrase: RigPhrase): RigPhrase {
  const { part, text } = phrase
  return part && 'lengthMm' in part && part.lengthMm > MOST_LENGTH_MM ? no(text, 'length') : phrase
}
