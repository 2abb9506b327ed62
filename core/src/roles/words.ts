import type { Role } from './roles.ts';

export const roleNames: Record<Role, string> = {
  technician: 'Technician',
  coordinator: 'Coordinator',
  reader: 'Reader',
  courier: 'Courier',
  householder: 'Householder',
};

/** What a role may do, in a line. */
export const roleDuties: Record<Role, string> = {
  technician: 'plans, measures, samples and hands over',
  coordinator: 'as a technician; keeps the registers, judges anew, lets people in',
  reader: 'sees and verifies everything, writes nothing',
  courier: 'hands samples over',
  householder: 'has one kit, by a link that works once',
};
