import { purposes, type PurposeRow } from './tables/purposes.ts';

export type { PurposeRow };
export type PurposeId = keyof typeof purposes;
/** What may be planned beside the sample itself. */
export const extraPurposes = (Object.keys(purposes) as PurposeId[]).filter((id): id is Exclude<PurposeId, 'sample'> => id !== 'sample');
export const purpose = (id: PurposeId): PurposeRow => purposes[id];
