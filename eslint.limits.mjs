/** Sizes that hold for formatted code. Prettier aims at 110 columns; what it cannot break ends before 120. */
const WIDTH = { 'max-len': ['error', { code: 120, comments: 110, ignoreUrls: true }] }
const SOURCES = ['{app,cli,core,instruments,server,shared}/**/*.ts', 'scripts/**/*.mjs']
const TESTS = ['**/*.test.ts', '**/*.spec.ts', 'test/**']
/** The function of a store or of a composable is all of it: its parts are functions of their own inside. */
const WHOLE_STORES = [
  'app/features/*/store/**',
  'app/features/*/logic/use*',
  'app/ui/use*',
  'app/data/outbox.ts',
]

export const limits = [
  {
    files: [...SOURCES, '{app,test}/**/*.{ts,vue}'],
    rules: { 'no-nested-ternary': 'error' },
  },
  { files: [...SOURCES, 'test/**/*.ts'], rules: WIDTH },
  { files: SOURCES, ignores: TESTS, rules: { 'max-lines': ['error', { max: 250 }] } },
  {
    files: SOURCES,
    ignores: [...TESTS, ...WHOLE_STORES],
    rules: { 'max-lines-per-function': ['error', { max: 50 }] },
  },
  { files: WHOLE_STORES, rules: { 'max-lines-per-function': ['error', { max: 190 }] } },
  { files: ['app/**/*.vue'], rules: { 'max-lines': ['error', { max: 200 }] } },
]
