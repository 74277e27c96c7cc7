import type { FlyLineFault, RowFault } from '../intake/index.ts'

/** What is wrong with a row, and what to do. */
export function rowFaultSentence({ row, code, at }: RowFault): string {
  const said = at.length > 40 ? `${at.slice(0, 40)} …` : at
  switch (code) {
    case 'noHeading':
      return `The first row must name the columns; missing: ${said}.`
    case 'wrongEncoding':
      return `Row ${row}: some letters are broken (${said}). Save the file as UTF-8.`
    case 'strayQuote':
      return `Row ${row}: a quotation mark opens and never closes.`
    case 'tooManyRows':
      return `${Number(at).toLocaleString('en')} rows are too many at once: split the file into parts of 2,000.`
    case 'unknownBox':
      return `Row ${row}: there is no box called ${said}.`
    case 'unknownPlace':
      return `Row ${row}: there is no compartment called ${said || 'nothing'} there.`
    case 'unknownFly':
      return `Row ${row}: no fly of yours is called ${said || 'nothing'}.`
    case 'severalFlies':
      return `Row ${row}: several flies are called ${said}; name the variant.`
    case 'badCount':
      return `Row ${row}: ${said || 'nothing'} is no count of flies, which runs from 0 to 999.`
    case 'badAmount':
      return `Row ${row}: ${said} is no amount that a store holds.`
    case 'badPrice':
      return `Row ${row}: ${said} is no price.`
    case 'unknownUnit':
      return `Row ${row}: ${said} is no unit that this material is kept in.`
    case 'unknownMaterial':
      return `Row ${row}: there is no material called ${said || 'nothing'}.`
    case 'unknownSize':
      return `Row ${row}: it does not come in size ${said || 'none'}.`
    case 'unknownColour':
      return `Row ${row}: it does not come in ${said || 'no colour'}.`
    case 'twice':
      return `Row ${row}: ${said} is named twice. Keep one of the rows.`
  }
}

const LINE_FAULTS: Readonly<Record<FlyLineFault['code'], string>> = {
  noName: 'Give it a name.',
  noneOfIt: 'None of it: leave the line out.',
  tooMany: 'At most 999 of a fly.',
  countOrSize: 'So many flies, or that size? Write “6 x olive jig” or “olive jig #6”.',
}

/** Why a line of flies was not understood. */
export const flyLineFaultSentence = ({ code }: FlyLineFault): string => LINE_FAULTS[code]

/** What is under way while a table is put in. */
export const puttingInSentence = 'Putting the table in'

/** Writes that the server has not taken yet. */
export const keptHereSentence = (count: number): string =>
  count === 1
    ? 'One thing is kept here until it is taken'
    : `${count} things are kept here until they are taken`

/** What lists still lack. */
export const figuresToComeSentence = (count: number): string =>
  count === 1
    ? 'The figures of one fly are being worked out'
    : `The figures of ${count.toLocaleString('en')} flies are being worked out`
