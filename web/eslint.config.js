import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['src/api/schema.d.ts'] },
  ...tseslint.configs.strict,
  jsxA11y.flatConfigs.recommended,
  reactHooks.configs.flat.recommended,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      // Whatever scrolls can be scrolled with the keyboard (WCAG 2.1.1), so it takes the focus.
      'jsx-a11y/no-noninteractive-tabindex': 'off',
      // Of a sheet that was just opened, the entry it was opened for.
      'jsx-a11y/no-autofocus': ['error', { ignoreNonDOM: true }],
    },
  },
);
