import { AMOUNTS, is, wording } from '../../core/index.ts'
import type { Component, Material, Swap } from '../../core/index.ts'
import { materialIn } from './variantActions.ts'
import type { Draft, DraftVariant } from './draft.ts'

const METAL: Readonly<Record<string, string>> = {
  tungsten: 'W',
  brass: 'B',
  steel: 'S',
  glass: 'G',
  plastic: 'P',
}
const MOST_DIFFERENCES = 3
/** A label longer than this is not read, and soon not taken. */
const MOST_LETTERS = 60

/** A bead in few letters: `W 2.8`, `B 2.4`, `no bead`. */
export function beadLabel(bead: Material | undefined): string {
  if (!bead) return 'no bead'
  const metal = Object.keys(METAL).find((key) => bead.family.name.toLowerCase().includes(key))
  return `${metal ? METAL[metal] : ''} ${bead.sizeKey}`.trim()
}

const amountText: Readonly<Record<(typeof AMOUNTS)[number], (value: number) => string>> = {
  turns: (value) => `${value} turns`,
  fibreCount: (value) => `${value} fibres`,
  strands: (value) => `${value} strands`,
  layers: (value) => `${value} layers`,
  widthMm: (value) => `${value} mm wide`,
  bulk: (value) => (value < 0.15 ? 'sparse' : value < 0.4 ? 'slim' : 'full'),
}

/** What of a part's goods is another: their colour, else what they are. */
function goodsDiffer(own: Material | undefined, dressing: Material | undefined): string {
  if (!own || own === dressing) return ''
  const sameFamily = own.family.name === dressing?.family.name
  if (!sameFamily)
    return [own.family.name.split(',')[0]?.toLowerCase(), own.colourName].filter(Boolean).join(' ')
  return own.colourName === dressing?.colourName ? '' : own.colourName
}

/** What a swap does otherwise than its line, in a word or two; a bead is said apart. */
function difference(line: Component, swap: Swap, materials: ReadonlyMap<string, Material>) {
  const part = wording.componentName[line.kind]
  if (swap.omit) return { part, says: `no ${part}`, colour: '' }
  const goods = goodsDiffer(materials.get(swap.materialId ?? line.materialId), materials.get(line.materialId))
  const amounts = AMOUNTS.flatMap((amount) => {
    const value = swap[amount]
    return value === undefined || value === line[amount] ? [] : [`${part} ${amountText[amount](value)}`]
  })
  const clipped = swap.clipped === undefined || swap.clipped === line.clipped ? [] : [`${part} clipped below`]
  const length =
    JSON.stringify(swap.length ?? line.length) === JSON.stringify(line.length) ? [] : [`${part} cut`]
  const said = goods === '' && clipped.length === 0 && amounts.length === 0 ? length : [...amounts, ...clipped]
  return { part, says: said.join(', '), colour: goods }
}

/** The colour of the body, where the pattern is tied in several. */
function bodyColour(draft: Draft, variant: DraftVariant, materials: ReadonlyMap<string, Material>): string {
  const body = draft.components.find(({ kind }) => is(kind, 'givesColour'))
  if (!body) return ''
  const idOf = (one: DraftVariant) => materialIn(draft, one, body.key)
  const several = new Set([...draft.variants, variant].map(idOf)).size > 1
  return (several && materials.get(idOf(variant) ?? '')?.colourName) || ''
}

/** What tells a variant apart beside hook and bead: colours, each once, then what is left out or tied otherwise. */
function differences(draft: Draft, variant: DraftVariant, materials: ReadonlyMap<string, Material>) {
  const colour = bodyColour(draft, variant, materials)
  const others = draft.components
    .filter(({ kind }) => kind !== 'bead')
    .flatMap((line) => {
      const swap = variant.swaps.find(({ componentKey }) => componentKey === line.key)
      return swap ? [difference(line, swap, materials)] : []
    })
  const colours = others.filter((one) => one.colour !== '' && one.colour !== colour)
  const byColour = [...new Set(colours.map((one) => one.colour))].map(
    (name) =>
      `${colours
        .filter((one) => one.colour === name)
        .map(({ part }) => part)
        .join(' and ')} ${name}`,
  )
  const rest = others.flatMap(({ says }) => (says === '' ? [] : [says]))
  return [colour, ...byColour, ...rest].filter(Boolean).slice(0, MOST_DIFFERENCES)
}

/** As many differences, the first first, as a label has room for. */
const thatFit = (told: readonly string[], room: number): string =>
  told.reduce((said, one) => {
    const more = said === '' ? one : `${said}, ${one}`
    return more.length < room ? more : said
  }, '')

/** How a variant is called by what differs: `#14 W 3.3`, `#12 olive`, `#16 tail red`, `#12 no foam`. */
export function labelFor(
  draft: Draft,
  variant: DraftVariant,
  materials: ReadonlyMap<string, Material>,
  remark = '',
): string {
  const hook = materials.get(variant.hookMaterialId)
  const beadKey = draft.components.find(({ kind }) => kind === 'bead')?.key
  const bead = beadKey ? beadLabel(materials.get(materialIn(draft, variant, beadKey) ?? '')) : ''
  const start = [`#${hook?.sizeKey ?? '?'}`, bead].filter(Boolean).join(' ')
  const told = thatFit(differences(draft, variant, materials), MOST_LETTERS - start.length - remark.length)
  const base = [start, told, told.includes(remark) ? '' : remark].filter(Boolean).join(' ')
  const taken = new Set(
    draft.variants.filter(({ id }) => id !== variant.id).map(({ label }) => label.toLowerCase()),
  )
  let label = base
  for (let n = 2; taken.has(label.toLowerCase()); n += 1) label = `${base} (${n})`
  return label
}

/** A draft whose variants all have a name: those that nobody named are called by what differs. */
export function named(draft: Draft, materials: ReadonlyMap<string, Material>): Draft {
  if (draft.variants.every(({ label }) => label !== '')) return draft
  let next = draft
  for (const { id, label } of draft.variants) {
    if (label !== '') continue
    next = {
      ...next,
      variants: next.variants.map((variant) =>
        variant.id === id ? { ...variant, label: labelFor(next, variant, materials) } : variant,
      ),
    }
  }
  return next
}
