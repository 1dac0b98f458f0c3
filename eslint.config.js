import angular from 'angular-eslint';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.angular/**', '.cache/**', 'web/public/**', 'test-results/**'] },
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.recommended, ...tseslint.configs.stylistic],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error'] }],
    },
  },
  {
    // the core has no clock, no randomness and no I/O of its own
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/**/*.spec.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness comes in through an argument.' },
        { object: 'Date', property: 'now', message: 'Time comes in through an argument.' },
      ],
      'no-restricted-globals': ['error', 'Date', 'performance', 'fetch', 'setTimeout', 'setInterval', 'process'],
    },
  },
  { files: ['core/bench/**/*.ts'], rules: { 'no-console': 'off' } },
  // AssemblyScript, whose classes are there at run time
  { files: ['core/kernel/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  {
    files: ['web/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'orvin', style: 'kebab-case' }],
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      '@typescript-eslint/no-extraneous-class': 'off',
      // over plain http, from another device in the house, these are not there
      'no-restricted-properties': [
        'error',
        { object: 'crypto', property: 'randomUUID', message: 'Secure contexts only. Use data/ids.' },
        { object: 'crypto', property: 'subtle', message: 'Secure contexts only.' },
      ],
    },
  },
  {
    files: ['web/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
);
