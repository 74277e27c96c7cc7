/** A text in lines that are no wider than there is room; a word that is wider stands alone. */
export function wrapped(text: string, widthOf: (text: string) => number, wide: number): readonly string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(/\s+/)) {
    const longer = line ? `${line} ${word}` : word
    if (line && widthOf(longer) > wide) {
      lines.push(line)
      line = word
    } else line = longer
  }
  return line ? [...lines, line] : lines
}
