/** Rooms of the core from the ground up: each may look only at rooms before it. */
const rooms = [
  'schemas',
  'roles',
  'endpoints',
  'findings',
  'units',
  'working',
  'time',
  'parameters',
  'counts',
  'book',
  'editions',
  'bottles',
  'due',
  'read',
  'registers',
  'exchange',
  'access',
  'plan',
  'prepare',
  'arrive',
  'level',
  'purge',
  'devices',
  'simulation',
  'tap',
  'fieldtests',
  'fill',
  'pictures',
  'scout',
  'custody',
  'kit',
  'culture',
  'day',
  'lab',
  'logger',
  'limits',
  'derived',
  'compliance',
  'act',
  'round',
];

/** The floors above: what their rooms share, from the ground up; then the rooms; then what puts them together. */
const floors = {
  core: { cellar: [], rooms, attic: [] },
  server: {
    cellar: ['apart', 'store', 'http', 'book', 'verify', 'backup', 'files'],
    rooms: [
      'access',
      'due',
      'registers',
      'plan',
      'prepare',
      'arrive',
      'level',
      'purge',
      'fill',
      'pictures',
      'scout',
      'lab',
      'read',
      'logger',
      'compliance',
    ],
    attic: ['app', 'commands'],
  },
  web: {
    cellar: ['theme', 'time', 'disk', 'api', 'feedback', 'units', 'findings', 'working', 'session', 'form', 'editions', 'book', 'visit'],
    rooms: [
      'ready',
      'registers',
      'access',
      'bench',
      'due',
      'plan',
      'day',
      'prepare',
      'arrive',
      'devices',
      'level',
      'purge',
      'fill',
      'fieldtests',
      'tap',
      'pictures',
      'custody',
      'kit',
      'culture',
      'read',
      'logger',
      'act',
      'limits',
      'reports',
      'compliance',
      'round',
      'today',
    ],
    // What sends while no page is open stands beside it.
    attic: ['worker', 'app'],
  },
};

const upward = Object.entries(floors).flatMap(([floor, { cellar, rooms: stages, attic }]) => {
  const all = [...cellar, ...stages, ...attic];
  return all.map((room, index) => ({
    name: `${floor}-${room}-looks-down`,
    severity: 'error',
    comment: 'Rooms import downward only, in the order written here.',
    from: { path: `^${floor}/src/${room}/`, pathNot: '\\.test\\.tsx?$' },
    to: { path: `^${floor}/src/(${all.slice(index + 1).join('|') || '-'})/` },
  }));
});

/** A folder that is in no order above would escape every rule. */
const unplaced = Object.entries(floors).map(([floor, { cellar, rooms: stages, attic }]) => ({
  name: `${floor}-has-a-place-for-each-room`,
  severity: 'error',
  from: {},
  to: { path: `^${floor}/src/[^/]+/`, pathNot: `^${floor}/src/(${[...cellar, ...stages, ...attic].join('|')})/` },
}));

const doors = ['server', 'web'].map((floor) => ({
  name: `${floor}-through-the-door`,
  severity: 'error',
  comment: 'A room of the work is entered by its index.ts, and by those who put the rooms together by its room.ts.',
  from: { path: `^${floor}/src/([^/]+)/`, pathNot: '\\.test\\.tsx?$' },
  to: {
    path: `^${floor}/src/(${floors[floor].rooms.join('|')})/.+`,
    pathNot: [`^${floor}/src/[^/]+/(index|room)\\.ts$`, `^${floor}/src/$1/`, `^web/src/round/RoundShell\\.tsx$`],
  },
}));

module.exports = {
  forbidden: [
    ...upward,
    ...unplaced,
    ...doors,
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
    {
      name: 'the-lab-stands-alone',
      severity: 'error',
      comment: 'The simulated lab shares no code with the product: the two must be able to disagree.',
      from: { path: '^demo/lab/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(core|server|web|demo/(?!lab/))' },
    },
    { name: 'web-without-server', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|demo|e2e)/' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
};
