import { diapasonThemes } from './app/themes'
import { SHELL, TEXTS } from './app/worker/rendered'
import { ALIAS, fromRoot } from './scripts/lib/paths.mjs'

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  ssr: false,
  modules: ['@pinia/nuxt', 'vuetify-nuxt-module', '@nuxt/eslint', '@vite-pwa/nuxt'],
  telemetry: { enabled: false },
  devtools: { enabled: false },
  css: [
    '@fontsource-variable/atkinson-hyperlegible-next/wght.css',
    '@fontsource-variable/atkinson-hyperlegible-mono/wght.css',
    '~/assets/tokens.css',
    '~/assets/base.css',
    '~/assets/fields.css',
    '~/assets/print.css',
  ],
  app: {
    head: {
      title: 'Diapason',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  // Nuxt would leave imports of its own shared folder unresolved in the server bundle; ours is plain source
  // like core.
  dir: { shared: '.nuxt-shared' },
  alias: ALIAS,
  // Every name is imported where it is used: a reader finds where it comes from, a test needs no Nuxt.
  imports: { autoImport: false, scan: false },
  components: { dirs: [] },
  vuetify: {
    moduleOptions: { styles: true, importComposables: false, disableVuetifyStyles: false },
    vuetifyOptions: {
      icons: { defaultSet: 'mdi-svg' },
      theme: { defaultTheme: 'day', themes: diapasonThemes },
      defaults: {
        VBtn: {
          variant: 'outlined',
          rounded: 'md',
          height: 48,
          style: 'letter-spacing: 0; text-transform: none; font-weight: 650',
        },
        VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
        VTextarea: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
        VSelect: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
        VCombobox: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
      },
    },
  },
  nitro: {
    routeRules: {
      '/**': {
        headers: {
          'x-content-type-options': 'nosniff',
          'x-frame-options': 'DENY',
          'referrer-policy': 'same-origin',
          'cross-origin-opener-policy': 'same-origin',
          'cross-origin-resource-policy': 'same-origin',
          'permissions-policy': 'geolocation=(), payment=(), usb=(), camera=(self), microphone=(self)',
        },
      },
    },
  },
  // Two ways in, one of them with a certificate, and time limits for both.
  $production: { nitro: { entry: fromRoot('server', 'entry.ts') } },
  // What a page may need later comes when it is needed: on a bench network that is at once, and the first
  // load stays small.
  hooks: {
    'build:manifest': manifest => {
      for (const part of Object.values(manifest)) part.prefetch = false
    },
  },
  // The application opens while its server is away: its files lie in the browser.
  pwa: {
    strategies: 'injectManifest',
    srcDir: 'worker',
    filename: 'sw.ts',
    injectRegister: false,
    manifest: false,
    client: { registerPlugin: false },
    injectManifest: {
      globPatterns: ['**/*.{js,css,woff2,svg}'],
      maximumFileSizeToCacheInBytes: 4_000_000,
      // What the server renders is fetched anew with every build.
      manifestTransforms: [
        files => ({
          manifest: [
            ...files,
            ...[SHELL, ...TEXTS].map(url => ({ url, revision: new Date().toISOString(), size: 0 })),
          ],
        }),
      ],
    },
  },
  postcss: { plugins: { cssnano: false } },
  // Nothing was ever fetched on the server: a page is drawn in the browser, and shows its frame until then.
  spaLoadingTemplate: 'spa-loading-template.html',
  vite: {
    // Messages come parsed from the server: their parser stays out of the browser.
    resolve: {
      alias: [
        {
          find: /^@formatjs\/icu-messageformat-parser$/,
          replacement: '@formatjs/icu-messageformat-parser/lib/no-parser.js',
        },
      ],
    },
    build: { reportCompressedSize: false },
    worker: { format: 'es' },
    optimizeDeps: { include: ['idb', 'uuid', 'yup', 'vee-validate'] },
  },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: { noUncheckedIndexedAccess: true, noUnusedLocals: true, noUnusedParameters: true },
    },
    nodeTsConfig: {
      compilerOptions: {
        lib: ['es2023', 'dom', 'dom.iterable'],
        noUncheckedIndexedAccess: true,
        // Nuxt writes its aliases for the application and the server only.
        paths: {
          '#core/*': ['../core/*'],
          '#shared/*': ['../shared/*'],
          '#i18n/*': ['../i18n/*'],
          '~/*': ['../app/*'],
        },
      },
      include: [
        '../core/**/*.ts',
        '../cli/**/*.ts',
        '../i18n/**/*.ts',
        '../i18n/**/*.json',
        '../shared/**/*.ts',
        '../instruments/**/*.ts',
        '../test/**/*.ts',
        '../scripts/**/*.ts',
        '../vitest.config.ts',
        '../playwright.config.ts',
      ],
    },
  },
  eslint: { config: { stylistic: false } },
})
