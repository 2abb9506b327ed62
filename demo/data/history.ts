/** Depths to water in m below the rim, one quarterly round each, oldest first: a winter high and a slow fall at MW3. */
export const levelHistory: { daysAgo: number; depths: Record<'MW1' | 'MW2' | 'MW3', string> }[] = [
  { daysAgo: 730, depths: { MW1: '9.412', MW2: '8.215', MW3: '7.020' } },
  { daysAgo: 641, depths: { MW1: '9.105', MW2: '7.984', MW3: '6.842' } },
  { daysAgo: 548, depths: { MW1: '9.386', MW2: '8.190', MW3: '7.061' } },
  { daysAgo: 459, depths: { MW1: '9.702', MW2: '8.455', MW3: '7.288' } },
  { daysAgo: 364, depths: { MW1: '9.468', MW2: '8.240', MW3: '7.154' } },
  { daysAgo: 275, depths: { MW1: '9.140', MW2: '8.010', MW3: '7.003' } },
  { daysAgo: 182, depths: { MW1: '9.421', MW2: '8.236', MW3: '7.239' } },
  { daysAgo: 91, depths: { MW1: '9.744', MW2: '8.502', MW3: '7.476' } },
];
