import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['src/api/schema.d.ts'] },
  ...tseslint.configs.strictTypeChecked,
  jsxA11y.flatConfigs.recommended,
  reactHooks.configs.flat.recommended,
  { languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } } },
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      // A handler of one call is written without braces, and a number in a template is written as a number.
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // Takes as long as all other rules together; editors strike through what is deprecated.
      '@typescript-eslint/no-deprecated': 'off',
      // React does not mind what a handler gives back.
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      // Whatever scrolls can be scrolled with the keyboard (WCAG 2.1.1), so it takes the focus.
      'jsx-a11y/no-noninteractive-tabindex': 'off',
      // Of a sheet that was just opened, the entry it was opened for.
      'jsx-a11y/no-autofocus': ['error', { ignoreNonDOM: true }],
    },
  },
  {
    // What tests make up is said to be what they need it to be.
    files: ['src/**/*.test.{ts,tsx}', 'src/**/{samples,faked,testSetup}.{ts,tsx}'],
    ...tseslint.configs.disableTypeChecked,
  },
);
