/**
 * How the rooms of the house are joined, types counted too: `npm run lint` and `npm test` hold it.
 * @type {import('dependency-cruiser').IConfiguration}
 */
export default {
  forbidden: [
    {
      name: 'no-loops',
      comment: 'Nothing leads back to itself, not by types either: a file can be read, moved and tested by what it imports.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'features-by-what-they-give',
      comment: 'A feature imports of another only what that one gives: its gives.ts, of at most ten names.',
      severity: 'error',
      from: { path: '^(server/src|web/src/app)/features/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^$1/features/', pathNot: ['^$1/features/$2/', '/gives\\.ts$'] },
    },
    {
      name: 'shared-rooms-know-no-feature',
      comment: 'What several features share stands below them.',
      severity: 'error',
      from: {
        path: ['^server/src/(backup|db|files|http|sessions|tables)/', '^web/src/app/(shared|state|ui|question-views)/'],
        pathNot: '\\.test\\.ts$',
      },
      to: { path: '^(server/src|web/src/app)/features/' },
    },
    {
      name: 'tables-know-tables',
      comment: 'The tables are one graph of foreign keys, and know nothing that is done with them.',
      severity: 'error',
      from: { path: '^server/src/tables/' },
      to: { path: '^server/src/', pathNot: '^server/src/tables/' },
    },
    {
      name: 'core-stands-alone',
      comment: 'The core knows neither the contract nor a server nor a page.',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { path: '^(contract|server|web|e2e|bench)/' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: ['web/src/generated', '/dist/', '\\.angular'] },
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
};
