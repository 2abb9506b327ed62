/** Rooms of the core from the ground up: each may look only at rooms before it. */
const rooms = [
  'schemas',
  'endpoints',
  'findings',
  'units',
  'working',
  'time',
  'parameters',
  'book',
  'editions',
  'registers',
  'bottles',
  'plan',
  'level',
  'purge',
  'tap',
  'fill',
  'custody',
  'lab',
  'read',
  'limits',
  'act',
  'round',
];

const upward = rooms.map((room, index) => ({
  name: `core-${room}-looks-down`,
  severity: 'error',
  comment: 'Core rooms import downward only.',
  from: { path: `^core/src/${room}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${rooms.slice(index + 1).join('|') || '-'})/` },
}));

module.exports = {
  forbidden: [
    ...upward,
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'through-the-door',
      severity: 'error',
      comment: 'Other rooms are entered by their index.ts.',
      from: { path: '^(core|server|web)/src/([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^core/src/([^/]+)/.+', pathNot: ['^core/src/[^/]+/index\\.ts$', '^$1/src/$2/'] },
    },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(server|web|demo|e2e)/' } },
    { name: 'core-is-pure', severity: 'error', from: { path: '^core/src', pathNot: '\\.test\\.ts$' }, to: { dependencyTypes: ['core'] } },
    {
      name: 'core-knows-no-framework',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: 'node_modules/(react|express|typeorm|antd|swr)' },
    },
    { name: 'server-without-web', severity: 'error', from: { path: '^server/' }, to: { path: '^(web|demo|e2e)/' } },
    { name: 'web-without-server', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|demo|e2e)/' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
};
