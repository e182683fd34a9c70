import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['src/api/schema.d.ts'] },
  ...tseslint.configs.strict,
  { rules: { '@typescript-eslint/no-non-null-assertion': 'off' } },
);
