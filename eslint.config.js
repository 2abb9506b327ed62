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

/** How many ways may lead through a function, a `?.` or `??` counted as one. */
const ways = 20;
/** Files with a function that has more, and how many: they may only come down. */
const moreWays = {
  'core/src/day/solve/search.ts': 21,
  'core/src/fill/fill.ts': 21,
  'core/src/logger/levels.ts': 21,
  'core/src/logger/reading/stamps.ts': 28,
  'core/src/purge/stability/approach.ts': 24,
  'core/src/read/cells/names.ts': 26,
  'core/src/read/cells/value.ts': 59,
  'core/src/read/row.ts': 59,
  'core/src/round/form.ts': 23,
  'core/src/tap/run.ts': 23,
  'core/src/tap/tap.test.ts': 21,
  'core/src/tap/where.ts': 21,
  'core/test/payloads.ts': 22,
  'demo/lab/rules.ts': 28,
  'web/src/custody/HandOverForm.tsx': 47,
  'web/src/fieldtests/ReadForm.tsx': 29,
  'web/src/kit/KitPanel.tsx': 24,
  'web/src/level/section/WellSection.tsx': 27,
  'web/src/limits/VerdictPage.tsx': 21,
  'web/src/logger/LoggerForm.tsx': 30,
  'web/src/logger/draft.ts': 22,
  'web/src/plan/NewRoundPage.tsx': 21,
  'web/src/prepare/CheckForm.tsx': 32,
  'web/src/purge/setup/SetUpForm.tsx': 30,
  'web/src/ready/ReadyPage.tsx': 44,
  'web/src/registers/gear/CriterionForm.tsx': 23,
  'web/src/registers/gear/ProgrammeForm.tsx': 27,
  'web/src/registers/gear/forms.tsx': 21,
  'web/src/tap/StepNow.tsx': 77,
};

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '**/.cache/**', 'data/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      complexity: ['error', ways],
    },
  },
  ...Object.entries(moreWays).map(([file, most]) => ({ files: [file], rules: { complexity: ['error', most] } })),
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
