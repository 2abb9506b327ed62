/** What is special about a point and decides how a sample is taken there. */
export const traits = {
  'dead-end': { name: 'At a dead end of the network' },
  'no-flame': { name: 'Outlet or wall bears no flame' },
} as const satisfies Record<string, { name: string }>;
