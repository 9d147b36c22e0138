const { defineConfig } = require('eslint/config');
const expo = require('eslint-config-expo/flat');

/** The rules of React, which read every file as the compiler does: off where there is no React. */
const noReact = Object.fromEntries(
  expo.flatMap(({ rules = {} }) =>
    Object.keys(rules)
      .filter((name) => name.startsWith('react'))
      .map((name) => [name, 'off']),
  ),
);

module.exports = defineConfig([
  expo,
  { ignores: ['dist/*', '.expo/*', 'node_modules/*', '**/*.generated.js', '.billet/*'] },
  {
    rules: {
      'no-console': ['error', { allow: ['error'] }],
      eqeqeq: 'error',
      // fast-check is read as fc.property, fc.assert.
      'import/no-named-as-default-member': 'off',
      'import/no-named-as-default': 'off',
      // A switch over kinds counts as one.
      complexity: ['error', { max: 20, variant: 'modified' }],
      // What the types say already, and slowly.
      'import/namespace': 'off',
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // A name for what a declaration of the stored data says.
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
    },
  },
  {
    // What only the types tell: a promise that nobody waits for, a variant that no case handles, a question whose answer is known.
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    ignores: ['**/*.d.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: __dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true, requireDefaultForNonUnion: false },
      ],
      '@typescript-eslint/no-unnecessary-condition': 'error',
    },
  },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    ignores: ['src/platform/**', '**/*.test.*'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'navigator', 'localStorage', 'Worker'].map((name) => ({
          name,
          message: 'The interfaces of the browser are behind src/platform.',
        })),
      ],
    },
  },
  {
    files: ['src/**/*.ts', 'server/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 150, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['src/{cli,core,data,state,workers}/**', 'server/**', 'bench/**', 'scripts/**', 'e2e/**'],
    rules: noReact,
  },
  { files: ['**/*.js', '**/*.cjs'], languageOptions: { globals: { __dirname: 'readonly' } } },
  { files: ['server/**', 'bench/**', 'scripts/**', 'e2e/**', 'harness/**'], rules: { 'no-console': 'off' } },
]);
