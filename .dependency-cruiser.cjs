/** Who may import whom, as docs/architecture.md says. A broken rule fails the tests. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.ts$' },
  to: { path: '^(core|i18n|shared|instruments|server|app|cli|test|scripts)/', pathNot: allowed },
})

module.exports = {
  forbidden: [
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    only('core-imports-core', '^core/', '^core/'),
    only('texts-import-nothing', '^i18n/', '^i18n/'),
    // Pure packages, each used in one place: a transform, ZIP, a hash. No input or output, no DOM.
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot: '^node_modules/(fft\\.js|fflate|@noble/hashes)/',
      },
    },
    {
      name: 'quantity-imports-nothing',
      severity: 'error',
      from: { path: '^core/quantity/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/', pathNot: '^core/(quantity/|errors|message)' },
    },
    only('shared-imports-core', '^shared/', '^(core|i18n|shared)/'),
    only('instruments-import-core-shared', '^instruments/', '^(core|shared|instruments)/'),
    only('queries-import-shared', '^server/db/', '^(core|shared|server/db|server/utils/log)'),
    // A terminal is spoken to as a page is.
    only('cli-imports-core-words', '^cli/', '^(core|cli|shared/i18n|shared/words/messageWords)'),
    only('server-imports-no-app', '^server/', '^(core|shared|server)/'),
    only(
      'logic-imports-core-shared',
      '^app/features/[^/]+/(logic|workers)/',
      '^(core|shared|app/(ui/use|data/(api|failureWords|saveFile)|features/[^/]+/(logic|workers)))',
    ),
    only(
      'components-import-no-store',
      '^app/features/[^/]+/components/',
      '^(core|shared|app/(ui|data/(api|failureWords|saveFile)|features/[^/]+/(components|logic)))',
    ),
    only('ui-knows-no-feature-store', '^app/ui/', '^(core|shared|app/(ui|features/[^/]+/logic))'),
    only('data-knows-no-feature', '^app/data/', '^(core|shared|app/data)'),
    only('app-imports-no-server', '^app/', '^(core|shared|app)/'),
    {
      name: 'nothing-imports-tests',
      severity: 'error',
      from: { pathNot: '(^test/|\\.test\\.ts$)' },
      to: { path: '(^test/|\\.test\\.ts$)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.js', '.mjs'] },
    tsConfig: { fileName: 'tsconfig.imports.json' },
    exclude: { path: '^(\\.nuxt|\\.output|node_modules)' },
  },
}
