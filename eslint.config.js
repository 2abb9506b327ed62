import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

// An instant is shown in one way, and whoever shows it says in which zone: only the rooms of time may read the device's.
const zoneMessage = 'Show it with the functions of time/, in the zone of the site.';
const deviceZone = [
  { selector: "MemberExpression[object.name='Intl'][property.name='DateTimeFormat']", message: zoneMessage },
  {
    selector:
      'MemberExpression[property.name=/^(toLocale(Time|Date)String|to(Date|Time)String|getTimezoneOffset|get(FullYear|Month|Date|Day|Hours|Minutes))$/]',
    message: zoneMessage,
  },
];

const systemClock = [
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'Take the time from the injected clock.',
  },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Take the time from the injected clock.' },
];

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '**/.cache/**', 'data/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  // Time is injected: only the one file of each floor that makes the clock may read the system's.
  {
    files: ['core/src/**', 'server/src/**', 'web/src/**'],
    ignores: ['**/*.test.ts', 'server/src/main.ts', '**/src/time/**'],
    rules: {
      'no-restricted-syntax': ['error', ...systemClock, ...deviceZone],
    },
  },
  {
    files: ['**/src/time/**'],
    ignores: ['**/*.test.ts', 'web/src/time/clock.ts'],
    rules: { 'no-restricted-syntax': ['error', ...systemClock] },
  },
  {
    files: ['web/src/**'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  // A choice of several is one control: with the bare one, Enter takes out what is chosen.
  {
    files: ['web/src/**/*.tsx'],
    ignores: ['web/src/form/ManySelect.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...systemClock,
        ...deviceZone,
        { selector: "JSXAttribute[name.name='mode'][value.value='multiple']", message: 'Use ManySelect.' },
      ],
    },
  },
  {
    files: ['**/*.cjs'],
    languageOptions: { sourceType: 'commonjs', globals: { module: 'writable', require: 'readonly' } },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
);
