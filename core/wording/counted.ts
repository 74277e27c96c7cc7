/** So many of something: `1 take`, `5 takes`, `0 takes`; what is no whole number is rounded. */
export const counted = (count: number, single: string, several: string): string =>
  `${Math.round(count)} ${Math.round(count) === 1 ? single : several}`

/** What came of a fly that was fished: `1 minute, 2 takes, 1 refusal`; refusals where there were any. */
export const spellText = (spell: {
  readonly minutes: number
  readonly takes: number
  readonly refusals: number
}): string =>
  [
    counted(spell.minutes, 'minute', 'minutes'),
    counted(spell.takes, 'take', 'takes'),
    ...(spell.refusals > 0 ? [counted(spell.refusals, 'refusal', 'refusals')] : []),
  ].join(', ')
