import { gear, type GearId, type GearRow } from './tables/gear.ts';

export type { GearId, GearRow };
export const gearIds = Object.keys(gear) as [GearId, ...GearId[]];
export const gearRow = (id: GearId): GearRow => gear[id];
