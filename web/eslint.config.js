import query from '@tanstack/eslint-plugin-query';
import access from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  tseslint.configs.recommendedTypeChecked,
  access.flatConfigs.recommended,
  query.configs['flat/recommended'],
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { 'react-hooks': hooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      // A union that grows must be met by every place that decides by it.
      // Dialogs, the sign-in and the bar for adding are opened to type into; focus anywhere else would be lost work.
      'jsx-a11y/no-autofocus': 'off',
      // What scrolls can be scrolled by keys.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { tags: [], roles: ['region', 'tabpanel'] }],
      // Keys that bubble up from the fields and buttons inside may be heard on what holds them; presses of a pointer may not.
      'jsx-a11y/no-noninteractive-element-interactions': [
        'error',
        { handlers: ['onClick', 'onMouseDown', 'onMouseUp'] },
      ],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      // What a handler starts is watched by the one mechanism for answers and faults; it need not be awaited there.
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
    },
  },
);
