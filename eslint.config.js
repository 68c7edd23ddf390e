import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.urvek/**'] },
  ...tseslint.configs.recommended,
  {
    rules: {
      eqeqeq: ['error', 'always'],
      'no-console': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  // What computes has no clock, no randomness of its own and no I/O: they are passed in.
  {
    files: ['core/src/**/*.ts', 'study/src/**/*.ts', 'draw/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'console',
        'performance',
        'localStorage',
        'indexedDB',
        'setTimeout',
        'setInterval',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'randomness is passed in (core/random)' },
        { object: 'Date', property: 'now', message: 'the clock is passed in' },
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: reactHooks.configs.recommended.rules,
  },
  // A view is read at a glance; what does not fit is two.
  { files: ['web/src/**/*.tsx'], rules: { 'max-lines': ['error', 150] } },
  {
    files: ['web/src/**/*.tsx'],
    ...jsxA11y.flatConfigs.recommended,
    rules: {
      ...jsxA11y.flatConfigs.recommended.rules,
      // What scrolls must be reached by keyboard, and steps through what it shows.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['group'], tags: [] }],
      'jsx-a11y/no-noninteractive-element-interactions': 'off',
      // Only in dialogs that a press has opened.
      'jsx-a11y/no-autofocus': 'off',
      // A note spoken on a walk has no captions.
      'jsx-a11y/media-has-caption': 'off',
    },
  },
  // Programs that talk to a terminal.
  { files: ['bin/**', 'cli/src/**', 'benchmarks/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
);
