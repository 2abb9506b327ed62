/** What lies about a point and may come into its water; what to test for because of it is in the table of suggestions. */
export const surroundings = {
  farmland: { name: 'Fields, manured or fertilised' },
  livestock: { name: 'Stables, manure, slurry' },
  septic: { name: 'Septic tank or soakaway' },
  spraying: { name: 'Orchard, vineyard or fields that are sprayed' },
  road: { name: 'Road that is salted' },
  coast: { name: 'Sea near by' },
  fuel: { name: 'Filling station or fuel tank' },
  workshop: { name: 'Workshop, laundry or works with solvents' },
  tannery: { name: 'Tannery or plating works' },
  landfill: { name: 'Landfill' },
  mine: { name: 'Mine or spoil heap' },
  foam: { name: 'Airfield or fire-fighting ground' },
  granite: { name: 'Granite or other rock with uranium' },
  'old-pipes': { name: 'Old pipes in the house, lead not ruled out' },
  flooded: { name: 'Flooded lately' },
} as const satisfies Record<string, { name: string }>;
