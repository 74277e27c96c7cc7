import { PDFDocument } from 'pdf-lib'
import { waterside, wording } from '../../../../core/index.ts'
import type { DisplayUnits } from '../../../../core/index.ts'
import type { AlongView } from '../../../../contract/index.ts'
import { pdfLines } from '../../../files/pdfLines.ts'
import { pdfPen } from '../../../files/pdfPen.ts'
import type { FontFiles } from '../../../files/pdfPen.ts'
import { minuteOfDay } from '../../../words/instants.ts'
import { rulesSentence } from '../../../words/rules.ts'
import { cameOfIt, labels, LEFT, STEP } from '../../../words/waterside.ts'
import { clockTime, dateName, shortTemp } from '../../../words/words.ts'

/** An outing to keep on paper: a heading, and under each further one its lines. */
export interface KeptPage {
  readonly title: string
  readonly parts: readonly { readonly heading: string; readonly lines: readonly string[] }[]
}

/** What was noted on an outing, and what it moved, as a page to keep; parts of which nothing was noted are left out. */
export function keptPage(along: AlongView, moved: readonly string[], units: DisplayUnits): KeptPage {
  const { outing, flies, stages, taps, timeZone } = along
  const standing = waterside.standingAfter(taps)
  const nameOf = new Map(flies.map(({ variantId, name }) => [variantId as string, name]))
  const stageOf = new Map(stages.map(({ foodStageId, name }) => [foodStageId as string, name]))
  const at = (ms: number) => clockTime(minuteOfDay(ms, timeZone))
  const { waterTempC, airTempC, looked, fished, lost } = standing
  const seen = (isSeen: boolean) =>
    waterside.SIGNS.filter(({ key }) => looked.get(key) === isSeen).map(({ text }) => text)
  const parts = [
    {
      heading: labels.theDay,
      lines: [
        rulesSentence(outing.rules, units),
        waterTempC === null ? '' : `${labels.water}: ${shortTemp(waterTempC, units)}`,
        airTempC === null ? '' : `${labels.air}: ${shortTemp(airTempC, units)}`,
        outing.note,
      ].filter(Boolean),
    },
    {
      heading: labels.whatWasSeen,
      lines: [...seen(true), ...seen(false).map((text) => `${text}: ${labels.none}`)],
    },
    {
      heading: labels.sample,
      lines: standing.counted.map(({ stageId, count }) => `${stageOf.get(stageId) ?? stageId}: ${count}`),
    },
    {
      heading: labels.noted,
      lines: fished.map((one) => {
        const until = one.toMs === null ? '' : at(one.toMs)
        const meant = one.stageKey ? stageOf.get(one.stageKey) : undefined
        const what = [nameOf.get(one.variantKey) ?? labels.unknownFly, meant ? `(${meant})` : '']
        return `${at(one.fromMs)}–${until} ${what.filter(Boolean).join(' ')}: ${[one.step ? STEP[one.step] : '', cameOfIt(one, units)].filter(Boolean).join(' ')}`
      }),
    },
    {
      heading: labels.spells,
      lines: outing.spells.map(
        ({ patternName, label, ...spell }) => `${patternName} ${label}: ${wording.spellText(spell)}`,
      ),
    },
    {
      heading: labels.lostFlies,
      lines: [
        ...outing.losses.map(({ patternName, label, count, cause }) => `${count} ${patternName} ${label}: ${cause}`),
        ...lost
          .filter(({ id }) => !along.booked.some((one) => one === id))
          .map(({ variantKeys, leftIn }) => `${variantKeys.map((key) => nameOf.get(key) ?? labels.unknownFly).join(', ')}: ${LEFT[leftIn]}`),
      ],
    },
    { heading: labels.whatItMoved, lines: moved },
  ] // prettier-ignore
  const hours = `${clockTime(outing.fromLocalMin)}–${clockTime(outing.toLocalMin)}`
  return {
    title: `${outing.reachName ?? outing.waterName}, ${dateName(outing.on)}, ${hours}`,
    parts: parts.filter(({ lines }) => lines.length > 0),
  }
}

/** A page to keep as Markdown. */
export const keptMarkdown = ({ title, parts }: KeptPage): string =>
  [
    `# ${title}`,
    ...parts.flatMap(({ heading, lines }) => ['', `## ${heading}`, '', ...lines.map((line) => `- ${line}`)]),
    '',
  ].join('\n')

const A5 = { wideMm: 148, highMm: 210, marginPt: 28, textPt: 9 }

/** A page to keep as PDF, A5. */
export async function keptPdf({ title, parts }: KeptPage, files: FontFiles): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  pdf.setTitle(title)
  const line = pdfLines(pdf, await pdfPen(pdf, files), A5)
  line(title, { size: 13, heavy: true })
  for (const { heading, lines } of parts) {
    line(' ')
    line(heading, { heavy: true, size: 10 })
    for (const one of lines) line(one, { indent: 8 })
  }
  return pdf.save()
}
