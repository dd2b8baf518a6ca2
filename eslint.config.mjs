import eslint from '@eslint/js';
import angular from 'angular-eslint';
import tseslint from 'typescript-eslint';
import { codedErrors } from './tools/lint/coded-errors.mjs';
import { noBareText } from './tools/lint/no-bare-text.mjs';

/** Which of our packages and which outside worlds a package may import. Types may be looked up more widely than values. */
function mayNotImport(patterns) {
  return { '@typescript-eslint/no-restricted-imports': ['error', { patterns }] };
}
const outsideWorlds = [
  'node:*',
  'fastify',
  '@fastify/*',
  '@angular/*',
  '@ngrx/*',
  'drizzle-orm',
  'drizzle-orm/*',
  'better-sqlite3',
  'rxjs',
];

const FOR_THE_BROWSER = {
  group: ['@zeitpunkt/server', '**/server/*', 'node:*', 'fastify'],
  message: 'The web application talks to the server over the contract.',
};
const VALIDATORS_ONLY = { group: ['@zeitpunkt/contract'], allowTypeImports: true, message: 'Validators come precompiled from generated/.' };

const PLAIN_EXPORTS = [
  { selector: 'ExportAllDeclaration', message: 'List every name.' },
  { selector: 'ExportDefaultDeclaration', message: 'Export by name.' },
];

export default tseslint.config(
  { ignores: ['**/node_modules', '**/dist', '**/generated', '**/.angular', 'data', 'test-results'] },
  eslint.configs.recommended,
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strict, ...tseslint.configs.stylistic],
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/consistent-type-definitions': ['error', 'interface'],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-empty-function': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'no-restricted-syntax': ['error', ...PLAIN_EXPORTS],
      eqeqeq: 'error',
    },
  },
  {
    files: ['core/src/**/*.ts', 'contract/src/**/*.ts', 'web/src/**/*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...PLAIN_EXPORTS,
        { selector: 'Literal[regex.pattern=/\\(\\?<[=!]/]', message: 'Browsers of the last six years do not all look behind.' },
        {
          selector:
            "CallExpression[callee.name='linkedSignal'] > ObjectExpression:has(> Property[key.name='source'] > ArrowFunctionExpression):has(> Property[key.name='computation'] > ArrowFunctionExpression[params.length=0])",
          message: 'It would begin anew with every change of what its source reads: anewWith begins anew with another key only.',
        },
      ],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      ...mayNotImport([{ group: ['@zeitpunkt/*', ...outsideWorlds], message: 'The core imports nothing of ours and no platform.' }]),
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'setTimeout', 'setInterval', 'fetch', 'crypto'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is handed in.' },
        { object: 'Math', property: 'random', message: 'The dice are handed in.' },
      ],
    },
  },
  {
    files: ['core/src/**/*.ts', 'server/src/**/*.ts', 'web/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    plugins: { ours: { rules: { 'coded-errors': codedErrors } } },
    rules: { 'ours/coded-errors': 'error' },
  },
  // Journeys and suites are stories that are told from the beginning to the end.
  {
    files: ['**/*.ts', '**/*.mjs'],
    ignores: ['e2e/**', '**/*.test.ts', '**/*.config.mjs'],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['contract/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: mayNotImport([
      { group: ['@zeitpunkt/core/**'], allowTypeImports: true, message: 'The contract looks up types only.' },
      { group: ['@zeitpunkt/server', '@zeitpunkt/web', ...outsideWorlds], message: 'Imports point one way.' },
    ]),
  },
  {
    files: ['server/src/**/*.ts'],
    rules: mayNotImport([{ group: ['@zeitpunkt/web', '@angular/*', '@ngrx/*', '**/web/*'], message: 'The server knows no screens.' }]),
  },
  {
    files: ['web/src/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      ...mayNotImport([FOR_THE_BROWSER, VALIDATORS_ONLY]),
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: ['zp', 'app'], style: 'kebab-case' }],
      '@angular-eslint/component-class-suffix': 'off',
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true }],
    },
  },
  {
    files: ['web/src/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
  // Words come from their catalogues.
  {
    files: ['web/src/app/**/*.html'],
    ignores: ['**/*.test.ts/*.html'],
    plugins: { zeitpunkt: { rules: { 'no-bare-text': noBareText } } },
    rules: { 'zeitpunkt/no-bare-text': 'error' },
  },
  {
    files: ['e2e/**/*.ts'],
    rules: {
      ...mayNotImport([
        { group: ['@zeitpunkt/core/**', '@zeitpunkt/contract'], allowTypeImports: true, message: 'Journeys go through the screen.' },
      ]),
      'no-empty-pattern': 'off',
    },
  },
  // What only types tell: a promise that nobody waits for, a condition that is always so.
  ...[
    ['server', 'tools/types-of-server.json'],
    ['web', 'web/tsconfig.json'],
  ].map(([name, project]) => ({
    files: [`${name}/src/**/*.ts`],
    ignores: ['**/*.test.ts', 'web/src/testing/**', 'web/src/app/testing/**'],
    languageOptions: { parserOptions: { project: [project], tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/no-unnecessary-condition': 'error',
    },
  })),
  // A device may refuse to keep anything.
  {
    files: ['web/src/app/**/*.ts'],
    ignores: ['**/*.test.ts', 'web/src/app/shared/device-store.ts'],
    rules: {
      'no-restricted-globals': ['error', ...['localStorage', 'sessionStorage'].map((name) => ({ name, message: 'Ask deviceStore().' }))],
    },
  },
  // What a validator says is compared with the schema that it was made from.
  { files: ['web/src/app/shared/validators.test.ts'], rules: { '@typescript-eslint/no-restricted-imports': 'off' } },
  // The outlets are compared in a page of their own, made from the same code as the application.
  { files: ['e2e/src/outlets/*.ts'], rules: { '@typescript-eslint/no-restricted-imports': 'off' } },
  { files: ['**/*.config.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        performance: 'readonly',
        setTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        clearTimeout: 'readonly',
        fetch: 'readonly',
      },
    },
  },
);
