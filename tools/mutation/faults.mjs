// What faults can be put into a file, and which of them a seed draws.
import ts from 'typescript'

/** Operators and what each is turned into. */
const SWAPPED = new Map([
  ['<', '<='], ['<=', '<'], ['>', '>='], ['>=', '>'], ['===', '!=='], ['!==', '==='], ['+', '-'], ['-', '+'],
  ['*', '/'], ['/', '*'], ['&&', '||'], ['||', '&&'],
]) // prettier-ignore

const isName = (node) => ts.isPropertyAssignment(node.parent) && node.parent.name === node

/** Every place of a file where a fault can be put in: the text that is replaced, and the whole that it belongs to. */
export function faultsIn(path, text) {
  const file = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true)
  const faults = []
  const put = (node, by, whole = node) =>
    faults.push({
      path,
      from: node.getStart(file),
      to: node.getEnd(),
      by,
      whole: { from: whole.getStart(file), to: whole.getEnd(), statement: ts.isStatement(whole) },
      line: file.getLineAndCharacterOfPosition(node.getStart(file)).line + 1,
      was: node.getText(file),
    })
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isEnumMember(node)) return
    if (ts.isBinaryExpression(node)) {
      const by = SWAPPED.get(node.operatorToken.getText(file))
      const joins = node.operatorToken.kind === ts.SyntaxKind.PlusToken && /['"`]/.test(node.getText(file))
      if (by && !joins) put(node.operatorToken, by, node)
    }
    if (ts.isNumericLiteral(node) && !isName(node)) put(node, `(${node.text} + 1)`)
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false')
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true')
    if (ts.isIfStatement(node)) put(node.expression, `!(${node.expression.getText(file)})`)
    if (ts.isConditionalExpression(node)) put(node.condition, `!(${node.condition.getText(file)})`)
    if (ts.isPropertyAccessExpression(node) && /^Math\.(min|max)$/.test(node.getText(file)))
      put(node.name, node.name.text === 'min' ? 'max' : 'min', node)
    if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) put(node, ';')
    ts.forEachChild(node, visit)
  }
  visit(file)
  return faults
}

/** The file with one fault in it. */
export const withFault = (text, { from, to, by }) => text.slice(0, from) + by + text.slice(to)

/** The file as it is, but noting in `globalThis.reached` each of its faults whose place is run. */
export function withMarks(text, faults) {
  const insertions = faults.flatMap(({ number, whole }) => {
    const mark = `globalThis.reached?.add(${number})`
    const [open, close] = whole.statement ? [`{ ${mark}; `, ' }'] : [`(${mark}, `, ')']
    return [
      { at: whole.from, order: 1, size: whole.to - whole.from, put: open },
      { at: whole.to, order: -1, size: whole.from - whole.to, put: close },
    ]
  })
  // At one place: closing before opening, the inner closed first and the outer opened first.
  insertions.sort((a, b) => a.at - b.at || a.order - b.order || b.size - a.size)
  let out = ''
  let done = 0
  for (const { at, put } of insertions) {
    out += text.slice(done, at) + put
    done = at
  }
  return out + text.slice(done)
}

/** Numbers from a seed, 0 to 1 (mulberry32). */
function randomFrom(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** As many faults as are asked for, drawn by a seed. */
export function drawn(all, seed, count) {
  const random = randomFrom(seed)
  return all
    .map((fault) => ({ fault, order: random() }))
    .sort((a, b) => a.order - b.order)
    .slice(0, count)
    .map(({ fault }) => fault)
}
