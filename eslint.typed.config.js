import base from './eslint.config.js';

// What needs the types of the whole program: minutes and gigabytes, so part of `npm run test:long` only.
export default [
  ...base,
  {
    files: ['core/src/**/*.ts', 'server/{src,test}/**/*.ts', 'web/src/**/*.{ts,tsx}', 'demo/**/*.ts', 'e2e/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
];
