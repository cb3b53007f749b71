import { readFileSync } from 'node:fs';
import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/**
 * Four words in a row are a sentence for people: those stand in src/words. Failures carry a message for developers, and
 * records where their figures come from: no screen shows either.
 */
const FOUR_WORDS = String.raw`/[a-z]{2,},? [a-z’']+,? [a-z’']+,? [a-z’']+/i`;
const FOR_DEVELOPERS =
  ':not(CallExpression[callee.name=/^(fail|assert)$/] *):not(NewExpression[callee.name=/Error$/] ' +
  '*):not(VariableDeclarator[id.name="source"] *)';
const SENTENCES = [`Literal[value=${FOUR_WORDS}]`, `TemplateElement[value.raw=${FOUR_WORDS}]`].map((selector) => ({
  selector: `${selector}${FOR_DEVELOPERS}`,
  message: 'The core has no sentence for people: give a code with its figures and say it in src/words.',
}));

/** What people read goes through say and its kind, so that it can be said in every language. */
const THREE_WORDS = String.raw`/^(?!.*var\(--).*[a-z]{2,},? [a-z’']+,? [a-z’']{2,}/i`;
const NOT_FOR_PEOPLE =
  ':not(CallExpression[callee.name=/^(said|fail|dated)$/] *):not(NewExpression ' +
  '*):not(CallExpression[callee.property.name=/^(error|warn|setAttribute|querySelector)$/] ' +
  '*):not(ImportDeclaration *):not(JSXAttribute[name.name=/^(className|d|style|sx|viewBox|transform)$/] ' +
  '*):not(TSLiteralType *)';
const UNSAID = [
  `JSXText[value=/[A-Za-z]{2}/]`,
  `JSXAttribute[name.name=/^(label|title|hint|aria-label|alt|placeholder|caption|text|heading)$/] > Literal[value=/[A-Za-z]{2}/]`,
  `:matches(JSXElement, JSXFragment) > JSXExpressionContainer > :matches(ConditionalExpression, ` +
    `LogicalExpression) > Literal[value=/[A-Za-z]{2}/]`,
  `Literal[value=${THREE_WORDS}]${NOT_FOR_PEOPLE}`,
  `:not(TaggedTemplateExpression) > TemplateLiteral${NOT_FOR_PEOPLE} > TemplateElement[value.raw=${THREE_WORDS}]`,
].map((selector) => ({
  selector,
  message: 'What people read stands in say`…` (a table of it in said), for every language.',
}));

const A_MESSAGE = 'TaggedTemplateExpression[tag.name=/^say(With)?$/]';
const CHOICE = ':matches(ConditionalExpression, LogicalExpression)';
const NESTED = ['', `${CHOICE} > `, `${CHOICE} > ${CHOICE} > `].map((between) => ({
  selector: `${A_MESSAGE} > TemplateLiteral > ${between}${A_MESSAGE}`,
  message: 'A message is a whole sentence: say each case, or put sentences or remarks side by side.',
}));

/** A write that failed keeps what was typed: the field must hear of it. */
const UNHEARD = {
  selector:
    'JSXOpeningElement[name.name=/^(Typed|Length|Volume|Film|Temperature|Percent|Figure|Price|Spans)Field$/] > ' +
    'JSXAttribute[name.name="onCommit"] > JSXExpressionContainer > ArrowFunctionExpression UnaryExpression[operator="void"]',
  message: 'The field must hear whether it was kept: hand the promise on.',
};
const THREE_DEEP = {
  selector: 'ConditionalExpression > ConditionalExpression > ConditionalExpression',
  message: 'Choices in choices in choices are read by nobody: use a record, a function or early returns.',
};
const { include: LOOSE } = JSON.parse(readFileSync('tsconfig.loose.json', 'utf8'));

const SEEDED = { name: 'fast-check', message: 'Seeded: @/testing/properties.' };

const MOST_LINES = 80;
/** Walks over pixels, and data: cut up they would read worse. */
const KERNELS_AND_DATA = [
  'src/core/raster/resample.ts',
  'src/demo/scenario.ts',
  'src/core/proof/register.ts',
  'src/core/picture/analysis.ts',
];
/** Written before the rule. None is added; one that is cut up is taken off. */
const LONG_SINCE = [
  'src/core/proof/read-proof.ts',
  'src/core/schedule/check.ts',
  'src/core/schedule/from-plans.ts',
  'src/core/schedule/repair.ts',
  'src/features/agenda/use-schedule.ts',
  'src/features/ahead/ahead-page.tsx',
  'src/features/ahead/chosen-step.tsx',
  'src/features/ahead/late-pieces.tsx',
  'src/features/ahead/timeline.tsx',
  'src/features/bench/batch-run.tsx',
  'src/features/kept/restore-dialog.tsx',
  'src/features/piece/cure/drying-plot.tsx',
  'src/features/piece/drawings/landing.tsx',
  'src/features/piece/drawings/sheet.tsx',
  'src/features/piece/inspect/corners-by-hand.tsx',
  'src/features/piece/inspect/inspect-part.tsx',
  'src/features/piece/lay/guide-overlay.tsx',
  'src/features/piece/picture/crop-editor.tsx',
  'src/features/piece/picture/layers-panel.tsx',
  'src/features/piece/picture/tone-panel.tsx',
  'src/features/piece/surface/lies-best.tsx',
  'src/features/piece/surface/shape-handles.tsx',
  'src/features/piece/use-piece.ts',
  'src/features/pieces/piece-figure.tsx',
  'src/features/pieces/print-together.tsx',
  'src/features/stash/item-dialog.tsx',
  'src/features/stash/stash-page.tsx',
  'src/words/methods.ts',
];

export default tseslint.config(
  {
    ignores: [
      'node_modules',
      '.next',
      'public',
      'test-results',
      'playwright-report',
      'next-env.d.ts',
      '.cache',
      '.shots',
      '**/*.as.ts',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { project: 'tsconfig.strict.json', tsconfigRootDir: import.meta.dirname } },
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-restricted-syntax': ['error', THREE_DEEP],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
    },
  },
  {
    files: LOOSE.filter((pattern) => pattern !== 'next-env.d.ts'),
    languageOptions: { parserOptions: { project: 'tsconfig.loose.json', tsconfigRootDir: import.meta.dirname } },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/testing/properties.ts'],
    rules: { 'no-restricted-imports': ['error', SEEDED] },
  },
  {
    files: ['src/features/**/*.ts', 'src/features/**/*.tsx'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        SEEDED,
        {
          name: '@/core/stations',
          importNames: ['applyPatch'],
          message: 'A stored piece is changed by changedBy of the records, which undoes what no longer holds.',
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is passed in.' },
        { object: 'Math', property: 'random', message: 'Chance is passed in.' },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'indexedDB'],
      'no-restricted-syntax': ['error', THREE_DEEP, ...SENTENCES],
    },
  },
  {
    files: ['src/{words,ui,features,app}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: { 'no-restricted-syntax': ['error', THREE_DEEP, UNHEARD, ...UNSAID, ...NESTED] },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'src/testing/**', ...KERNELS_AND_DATA, ...LONG_SINCE],
    rules: { 'max-lines-per-function': ['error', { max: MOST_LINES, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['**/*.{mjs,cjs}'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        Buffer: 'readonly',
        module: 'writable',
        URL: 'readonly',
        setTimeout: 'readonly',
        fetch: 'readonly',
      },
    },
  },
);
