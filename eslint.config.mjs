import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['node_modules', '.next', 'public', 'test-results', 'playwright-report', 'next-env.d.ts', '.cache', '.shots', '**/*.as.ts'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
    },
  },
  { files: ['src/core/**/*.ts'], ignores: ['**/*.test.ts'], rules: { 'no-restricted-properties': ['error', { object: 'Date', property: 'now', message: 'The clock is passed in.' }, { object: 'Math', property: 'random', message: 'Chance is passed in.' }], 'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'indexedDB'] } },
  { files: ['**/*.{mjs,cjs}'], languageOptions: { globals: { process: 'readonly', console: 'readonly', Buffer: 'readonly', module: 'writable', URL: 'readonly', setTimeout: 'readonly', fetch: 'readonly' } } },
);
