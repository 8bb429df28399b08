import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

const NO_DEFAULT_EXPORT = {
  selector: 'ExportDefaultDeclaration',
  message: 'Export by name: the file is named for what it exports.',
};
const SQL_STANDS_IN_STORES = 'SQL stands in a store: a file named store.ts or …-store.ts.';

export default ts.config(
  { ignores: ['**/dist/**', '.brackenfell/**', 'node_modules/**', 'test-results/**', 'playwright-report/**'] },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [...ts.configs.strictTypeChecked, ...ts.configs.stylisticTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        { allowNumber: true, allowBoolean: true, allowNullish: true },
      ],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      // Part numbers are compared character by character; code points are what is meant.
      '@typescript-eslint/no-misused-spread': 'off',
      'no-restricted-syntax': ['error', NO_DEFAULT_EXPORT],
    },
  },
  {
    files: ['core/src/**'],
    rules: {
      'no-restricted-globals': ['error', 'Date', 'process', 'fetch'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  {
    // The database's own folder, bulk loading and upgrades are SQL throughout.
    files: ['server/src/**/*.ts'],
    ignores: ['**/*store.ts', '**/*.test.ts', 'server/src/{db,loading,upgrade,testing}/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        NO_DEFAULT_EXPORT,
        {
          selector: 'CallExpression[callee.property.name=/^(selectFrom|insertInto|updateTable|deleteFrom|mergeInto)$/]',
          message: SQL_STANDS_IN_STORES,
        },
        { selector: 'TaggedTemplateExpression[tag.name="sql"]', message: SQL_STANDS_IN_STORES },
      ],
    },
  },
  {
    files: ['web/src/**/*.ts', 'web/src/**/*.tsx'],
    ...hooks.configs.flat.recommended,
    // The React Compiler is not used, so a library it cannot compile is no matter.
    rules: { ...hooks.configs.flat.recommended.rules, 'react-hooks/incompatible-library': 'off' },
  },
  { files: ['**/*.config.ts'], rules: { 'no-restricted-syntax': 'off' } },
  { files: ['**/*.js', '**/*.mjs', '**/*.cjs'], languageOptions: { globals: globals.node } },
  {
    files: ['**/*.test.ts', 'e2e/**'],
    rules: { '@typescript-eslint/no-unsafe-assignment': 'off', '@typescript-eslint/no-unsafe-member-access': 'off' },
  },
);
