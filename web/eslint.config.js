import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strictTypeChecked,
  { languageOptions: { parserOptions: { projectService: true } } },
  {
    rules: {
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // The page's policy forbids code made of strings, which zod would try; src/lib/zod.ts tells it not to.
      'no-restricted-imports': ['error', { paths: ['zod'] }],
    },
  },
  { files: ['src/lib/zod.ts'], rules: { 'no-restricted-imports': 'off' } },
  { files: ['**/*.js', '**/*.mjs'], ...ts.configs.disableTypeChecked },
  hooks.configs.flat['recommended-latest'],
  // One file of Node's and the page's world at once.
  { files: ['bench/**', 'words/**'], rules: { 'no-undef': 'off' } },
);
