/** How a bottle is as it changes hands. */
export const bottleConditions = {
  good: 'Good',
  leaking: 'Leaking',
  underfilled: 'Under-filled',
  unsealed: 'Not sealed',
  broken: 'Broken',
  frozen: 'Frozen',
  bubble: 'Air where none may be',
  unlabelled: 'Label gone or not to be read',
} as const;
