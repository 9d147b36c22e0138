const { defineConfig } = require('eslint/config');
const expo = require('eslint-config-expo/flat');

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
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  { files: ['**/*.js', '**/*.cjs'], languageOptions: { globals: { __dirname: 'readonly' } } },
  { files: ['server/**', 'bench/**', 'scripts/**', 'e2e/**'], rules: { 'no-console': 'off' } },
]);
