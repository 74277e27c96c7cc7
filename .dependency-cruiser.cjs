/** The import rule: each layer imports only from those to its left: core <- contract <- server, web. */
const layer = (name, path, allowed) => ({
  name,
  severity: 'error',
  from: { path },
  to: { path: '^(core|contract|server|web|demo|bench|e2e|tools)/', pathNot: allowed },
})

/**
 * The floors of the web, from the ground: each stands on those before it. Wire, words, ui, drawing and workers are the
 * ground; rooms (places) never open into one another; the app is the roof.
 */
const FLOORS = [
  ['workers'],
  ['wire'],
  ['words'],
  ['ui'],
  ['drawing'],
  ['files'],
  ['moment', 'recipe'],
  ['column', 'parts'],
  ['places'],
  ['app'],
]
const floorRules = FLOORS.map((floor, i) => {
  const here = floor.join('|')
  const below = FLOORS.slice(0, i).flat()
  return {
    name: `web-floor-${floor.join('-and-')}`,
    severity: 'error',
    from: { path: `^web/(${here})/` },
    to: { path: '^web/', pathNot: [`^web/(${[...floor, ...below].join('|')})/`] },
  }
})

module.exports = {
  forbidden: [
    ...floorRules,
    {
      name: 'web-rooms-apart',
      comment: 'A place never imports another: what two of them need lies on a floor below.',
      severity: 'error',
      from: { path: '^web/places/([^/]+)/' },
      to: { path: '^web/places/', pathNot: '^web/places/$1/' },
    },
    ...['moment|recipe', 'column|parts'].map((floor) => ({
      name: `web-apart-${floor.replace('|', '-')}`,
      comment: 'Neighbours on one floor keep to themselves.',
      severity: 'error',
      from: { path: `^web/(${floor})/` },
      to: { path: `^web/(${floor})/`, pathNot: ['^web/$1/'] },
    })),
    layer('core-stands-alone', '^core/', '^core/'),
    layer('contract-knows-core', '^contract/', '^(core|contract)/'),
    layer('server-knows-core-and-contract', '^server/', '^(core|contract|server)/'),
    layer('web-knows-core-and-contract', '^web/', '^(core|contract|web)/'),
    {
      name: 'core-has-no-packages',
      comment: 'The computation is ours: no package, no Node.',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'] },
    },
    {
      name: 'shipped-data-stays-out-of-pages',
      severity: 'error',
      from: { path: '^(web|contract)/' },
      to: { path: '^core/.*/shipped/' },
    },
    {
      name: 'core-by-its-front-door',
      comment: 'Other layers use core/index.ts; the server and the tests may read what ships.',
      severity: 'error',
      from: { path: '^(contract|server|web|demo)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/', pathNot: '^core/(index\\.ts|.*/shipped/)' },
    },
    {
      name: 'core-modules-by-their-doors',
      comment: 'Within core a module is used by its index.ts alone.',
      severity: 'error',
      from: { path: '^core/([^/]+)/', pathNot: ['\\.test\\.ts$', '^core/testing/'] },
      to: { path: '^core/[^/]+/', pathNot: ['^core/$1/', '^core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(dist|node_modules)/' },
    tsConfig: { fileName: 'tsconfig.base.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'] },
  },
}
