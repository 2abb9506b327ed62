/** What a person may be. Each kind of entry says which of them may write it. */
export const roles = ['technician', 'coordinator', 'reader', 'courier', 'householder'] as const;
export type Role = (typeof roles)[number];

/** Who may stand as the author of an entry: a person by role, or the server for what came from outside. */
export type Writer = Role | 'server';

/** Those who work in the field. */
export const field: readonly Writer[] = ['technician', 'coordinator'];

/** The author and the device of what the server writes of itself. Nobody can be registered under it. */
export const server = '00000000-0000-0000-0000-000000000000';
