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

/**
 * Still longer than that. Whoever splits one takes it off the list; nothing comes onto it.
 */
const LONG_FILES = [
  'app/features/align/components/StepHands.vue',
  'app/features/sheet/components/board/BoardView.vue',
  'app/ui/gauge/ForkGauge.vue',
  'app/features/align/components/matrix/MatrixRows.vue',
  'app/features/align/components/matrix/TypedRow.vue',
  'app/features/signals/logic/signalPictures.ts',
  'app/pages/jobs/\\[id\\]/align.vue',
  'app/pages/jobs/\\[id\\]/handover.vue',
  'app/features/sheet/screens/SheetEditor.vue',
  'core/rig/assembly/transmit.ts',
  'instruments/bench/simulatedBench.ts',
  'server/demo/demoJobs.ts',
]
const LONG_FUNCTIONS = [
  'app/features/signals/logic/signalPictures.ts',
  'app/features/sheet/logic/targetForm.ts',
  'core/recording/scopeCsv.ts',
  'core/rig/assembly/modulationValues.ts',
  'core/rig/assembly/start.ts',
  'core/rig/assembly/valveTransmit.ts',
  'core/run/history.ts',
  'core/sheet/staleness.ts',
  'core/sheet/templates/templates.ts',
  'core/signal/am/amWaveform.ts',
  'instruments/bench/practiceActions.ts',
  'instruments/bench/practiceView.ts',
  'scripts/lib/house.mjs',
  'server/demo/demoJobs.ts',
  'server/demo/scale/measureScale.ts',
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
  { files: LONG_FILES, rules: { 'max-lines': 'off' } },
  { files: LONG_FUNCTIONS, rules: { 'max-lines-per-function': 'off' } },
]
