/** The import rule: each layer imports only from those to its left: core <- contract <- server, web. */
const layer = (name, path, allowed) => ({
  name,
  severity: 'error',
  from: { path },
  to: { path: '^(core|contract|server|web|demo|bench|e2e|tools)/', pathNot: allowed },
})

/**
 * The floors of the web, from the ground: each stands on those before it. Wire, words, ui, drawing and workers are the
 * ground; rooms (places) never open into one another; the app is the roof,
 * and `along` the one-file page that goes to the water.
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
  ['along'],
  ['app'],
]
/** The floors of the server: database and clock below, what is read, upkeep, what writes and answers, HTTP; the roof starts it. */
const SERVER_FLOORS = [
  ['db', 'clock', 'problems', 'instruments'],
  ['read'],
  ['upkeep', 'pairing'],
  ['commands', 'views'],
  ['http'],
]

/** Each floor stands on itself and on those before it. */
const floorRules = (layerName, floors) =>
  floors.map((floor, i) => ({
    name: `${layerName}-floor-${floor.join('-and-')}`,
    severity: 'error',
    from: { path: `^${layerName}/(${floor.join('|')})/`, pathNot: '\\.test\\.tsx?$' },
    to: {
      path: `^${layerName}/`,
      pathNot: [`^${layerName}/(${[...floor, ...floors.slice(0, i).flat()].join('|')})/`],
    },
  }))

module.exports = {
  forbidden: [
    ...floorRules('web', FLOORS),
    ...floorRules('server', SERVER_FLOORS),
    {
      name: 'web-rooms-apart',
      comment: 'A place never imports another: what two of them need lies on a floor below.',
      severity: 'error',
      from: { path: '^web/places/([^/]+)/' },
      to: { path: '^web/places/', pathNot: '^web/places/$1/' },
    },
    ...[
      ['web', 'moment|recipe'],
      ['web', 'column|parts'],
      ['server', 'commands|views'],
    ].map(([layerName, floor]) => ({
      name: `${layerName}-apart-${floor.replace('|', '-')}`,
      comment: 'Neighbours on one floor keep to themselves.',
      severity: 'error',
      from: { path: `^${layerName}/(${floor})/`, pathNot: '\\.test\\.tsx?$' },
      to: { path: `^${layerName}/(${floor})/`, pathNot: [`^${layerName}/$1/`] },
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
      from: { path: '^(web|contract)/', pathNot: '\\.test\\.tsx?$' },
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
