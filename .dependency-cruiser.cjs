/** Layers: core stands alone, its folders in one order; app reaches data through server, in routes only; no screen imports another. */

const { readdirSync } = require('node:fs')

/** Folders of core: each imports only those before it. */
const CORE = [
  'values',
  'board',
  'grid',
  'type',
  'colour',
  'picture',
  'motion',
  'style',
  'legibility',
  'guide',
  'blocks',
  'site',
  'shared',
  'render',
  'edges',
  'deck',
  'arrangements',
  'edits',
  'many',
  'bring',
  'reconcile',
  'outlines',
  'analysis',
  'sweep',
  'stress',
  'formats',
  'specimen',
  'first-guides',
  'kept',
]
/** Folders of app below its screens, in the same way. */
const APP = ['workers', 'awake', 'ui', 'colours', 'session', 'fields', 'live', 'files', 'screen']
const SCREENS = readdirSync('app', { withFileTypes: true })
  .filter((one) => one.isDirectory() && one.name !== 'routes' && !APP.includes(one.name))
  .map((one) => one.name)

/** Tests and their fixtures stand outside the order: they may set a scene with anything. */
const TESTS = '[.](test|fixture)[.]tsx?$'

const inOrder = (root, folders) =>
  folders.slice(0, -1).map((folder, i) => ({
    name: `${root}-${folder}-comes-before`,
    comment: `folders of ${root} are in one order, and each imports only those before it`,
    severity: 'error',
    from: { path: `^${root}/${folder}/`, pathNot: TESTS },
    to: { path: `^${root}/(${folders.slice(i + 1).join('|')})/` },
  }))

module.exports = {
  forbidden: [
    ...inOrder('core', CORE),
    ...inOrder('app', APP),
    {
      name: 'core-folders-are-known',
      comment: 'a new folder of core is put into the order above',
      severity: 'error',
      from: {},
      to: { path: '^core/', pathNot: `^core/(${CORE.join('|')})/` },
    },
    {
      name: 'parts-know-no-screen',
      severity: 'error',
      from: { path: `^app/(${APP.join('|')})/`, pathNot: TESTS },
      to: { path: `^app/(${SCREENS.join('|')})/` },
    },
    ...SCREENS.map((screen) => ({
      name: `${screen}-knows-no-other-screen`,
      severity: 'error',
      from: { path: `^app/${screen}/`, pathNot: TESTS },
      to: { path: `^app/(${SCREENS.filter((one) => one !== screen).join('|')})/` },
    })),
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^(app|server|demo|bin|e2e|benches)/' },
    },
    {
      name: 'core-has-no-node',
      comment: 'core runs in the browser, in workers and on the server',
      severity: 'error',
      from: { path: '^core/', pathNot: TESTS },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-has-no-react',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: 'node_modules/(react|react-dom|react-router)/' },
    },
    { name: 'server-knows-no-app', severity: 'error', from: { path: '^server/' }, to: { path: '^app/' } },
    {
      name: 'data-through-routes',
      comment:
        'screens get their data from loaders and actions; the guard, what reads a site ahead and the maker of pages stand before all of them',
      severity: 'error',
      from: { path: '^app/', pathNot: ['^app/(routes/|serve\\.ts|read-ahead\\.ts|entry\\.server\\.tsx)', TESTS] },
      to: { path: '^server/' },
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)[.]react-router/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default', 'types'],
      mainFields: ['module', 'main'],
    },
  },
}
