import prettier from 'eslint-config-prettier/flat'
import { limits } from './eslint.limits.mjs'
import { ourRules } from './eslint.rules.mjs'
import withNuxt from './.nuxt/eslint.config.mjs'

export default withNuxt(
  { ignores: ['.output/**', '.nuxt/**', '.data/**', '.cache/**', 'dist/**', 'coverage/**'] },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  { files: ['scripts/**'], rules: { 'no-console': 'off' } },
  // How code is laid out is Prettier's business alone.
  prettier,
  ...limits,
  ...ourRules,
)
