/**
 * What a person may be. Each kind of entry says which of them may write it, each endpoint which may ask there. A reader sees
 * and verifies everything and writes nothing; a householder has one kit and sees nothing else.
 */
export const roles = ['technician', 'coordinator', 'reader', 'courier', 'householder'] as const;
export type Role = (typeof roles)[number];

/** Who may stand as the author of an entry: a person by role, or the server for what came from outside. */
export type Writer = Role | 'server';

/** Those who work in the field. */
export const field: readonly Role[] = ['technician', 'coordinator'];

/** Those through whose hands bottles go on their way to the lab. */
export const carriers: readonly Role[] = [...field, 'courier'];

/** Those who take a sample: in the field, or at home from a kit. */
export const samplers: readonly Role[] = [...field, 'householder'];

/** Those who belong to the house, and see what is in it. */
export const members: readonly Role[] = ['technician', 'coordinator', 'reader', 'courier'];

/** Whoever is signed in. */
export const everybody: readonly Role[] = roles;

/** The author and the device of what the server writes of itself. Nobody can be registered under it. */
export const server = '00000000-0000-0000-0000-000000000000';
