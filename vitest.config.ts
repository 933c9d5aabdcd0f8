import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'
import { ALIAS, fromRoot } from './scripts/lib/paths.mjs'

/** The application's own folder is an alias of Nuxt. */
const resolve = { alias: { ...ALIAS, '~': fromRoot('app') } }

export default defineConfig({
  test: {
    // Every core works: by itself the runner leaves one of them idle.
    maxWorkers: '100%',
    // Of what is pure: the rest is covered by the tests of the real thing, which no counter sees.
    coverage: {
      provider: 'v8',
      include: ['core/**/*.ts', 'shared/**/*.ts', 'app/features/*/logic/**/*.ts', 'instruments/**/*.ts'],
      exclude: ['**/*.test.ts', '**/*.worker.ts'],
      reporter: ['text-summary'],
    },
    projects: [
      // What is pure shares its modules from file to file: nothing of it remembers anything.
      {
        resolve,
        test: {
          name: 'core',
          include: ['core/**/*.test.ts'],
          setupFiles: ['test/setup/texts.ts'],
          environment: 'node',
          isolate: false,
          testTimeout: 30_000,
        },
      },
      {
        resolve,
        test: {
          name: 'unit',
          include: ['{shared,instruments,server,app,cli}/**/*.test.ts', 'test/*.test.ts'],
          exclude: ['app/**/[A-Z]*.test.ts'],
          setupFiles: ['test/setup/texts.ts'],
          environment: 'node',
          testTimeout: 30_000,
        },
      },
      // Components as a browser builds them; their tests are named after them.
      {
        resolve,
        plugins: [vue()],
        test: {
          name: 'components',
          include: ['app/**/[A-Z]*.test.ts'],
          setupFiles: ['test/setup/texts.ts', 'test/setup/components.ts'],
          environment: 'happy-dom',
          testTimeout: 30_000,
          server: { deps: { inline: ['vuetify'] } },
        },
      },
      {
        resolve,
        test: {
          name: 'reference',
          include: ['test/reference/**/*.test.ts'],
          globalSetup: ['test/reference/measureBuilt.ts'],
          setupFiles: ['test/setup/texts.ts'],
          environment: 'node',
          testTimeout: 120_000,
        },
      },
      {
        resolve,
        test: {
          name: 'truth',
          include: ['test/truth/**/*.test.ts'],
          setupFiles: ['test/setup/texts.ts'],
          environment: 'node',
          testTimeout: 120_000,
        },
      },
      {
        resolve,
        test: {
          name: 'integration',
          include: ['test/integration/**/*.test.ts'],
          setupFiles: ['test/setup/texts.ts'],
          environment: 'node',
          // Nothing is measured by them: they end what hangs, on a machine that has other work too.
          testTimeout: 120_000,
          hookTimeout: 240_000,
        },
      },
    ],
  },
})
