import { readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import { beforeAll, describe, expect, it } from 'vitest'

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..', '..')
const DRESSING = join(root, 'core/dressing/dressing.ts')

/** Core as the compiler sees it, with one more kind of component in the list. */
function coreWithMadeUpKind(): ts.Program {
  const config = ts.getParsedCommandLineOfConfigFile(
    join(root, 'tsconfig.core.json'),
    { noEmit: true, composite: false, incremental: false },
    { ...ts.sys, onUnRecoverableConfigFileDiagnostic: (problem) => expect(problem).toBeNull() },
  )
  if (!config) throw new Error('no tsconfig.core.json')
  const options = { ...config.options, tsBuildInfoFile: undefined }
  const host = ts.createCompilerHost(options)
  const { getSourceFile } = host
  host.getSourceFile = (file, ...rest) =>
    file === DRESSING
      ? ts.createSourceFile(file, readFileSync(file, 'utf8').replace("'head',", "'head', 'madeUp',"), rest[0])
      : getSourceFile(file, ...rest)
  return ts.createProgram({ rootNames: config.fileNames, options, host })
}

const placeOf = (file: ts.SourceFile) => relative(root, file.fileName).replaceAll('\\', '/')

/** Comparisons of a component's kind with a kind by name: knowledge of kinds that stands outside their folder. */
function kindsByName(program: ts.Program): readonly string[] {
  const checker = program.getTypeChecker()
  const isKind = (node: ts.Node) => {
    const type = checker.getTypeAtLocation(node)
    return type.isUnion() && type.types.some((one) => one.isStringLiteral() && one.value === 'wingCase')
  }
  const found: string[] = []
  for (const file of program.getSourceFiles()) {
    const place = placeOf(file)
    if (!place.startsWith('core/') || /^core\/(dressing\/kinds|testing)\//.test(place)) continue
    const visit = (node: ts.Node): void => {
      if (ts.isBinaryExpression(node) && ts.isStringLiteral(node.right) && isKind(node.left)) {
        // the bare hook is a part and no component
        if (node.right.text !== 'hook') found.push(`${place}: ${node.right.text}`)
      }
      if (ts.isCaseClause(node) && ts.isStringLiteral(node.expression)) {
        if (isKind(node.parent.parent.expression)) found.push(`${place}: ${node.expression.text}`)
      }
      ts.forEachChild(node, visit)
    }
    visit(file)
  }
  return [...new Set(found)].sort()
}

describe('a kind of component that is not there yet', () => {
  let program: ts.Program
  beforeAll(() => {
    program = coreWithMadeUpKind()
  })

  it('is asked for by the compiler at every place that has to know it', () => {
    const places = program
      .getSemanticDiagnostics()
      .flatMap(({ file, messageText }) =>
        file ? [[placeOf(file), ts.flattenDiagnosticMessageText(messageText, ' ')] as const] : [],
      )
    for (const [place, message] of places) expect(message, place).toContain('madeUp')
    expect(places.map(([place]) => place).sort()).toEqual([
      'core/dressing/kinds/index.ts',
      'core/entry/typedLine.ts',
      'core/wording/bench.ts',
      'core/wording/names.ts',
    ])
  })

  it('is known by name elsewhere only where beads, wires or eyes themselves are meant', () => {
    expect(kindsByName(program)).toEqual([
      // the rungs of a weighting are beads; a weight code is a turn of thread
      'core/find/rungs.ts: bead',
      'core/lookalike/weightCode.ts: hotSpot',
      'core/propose/allowedVariants.ts: bead',
    ])
  })
})
