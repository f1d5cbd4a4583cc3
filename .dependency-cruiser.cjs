/** Layers: core stands alone; app reaches data through server, in routes only. */
module.exports = {
  forbidden: [
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
      from: { path: '^core/', pathNot: '[.](test|fixture)[.]ts$' },
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
      comment: 'screens get their data from loaders and actions',
      severity: 'error',
      from: { path: '^app/', pathNot: '^app/routes/' },
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
