import type { AnyKind } from '../book/index.ts';
import { programmeRegistered } from '../due/index.ts';
import { criterionRegistered } from './criterion.ts';
import { deviceRegistered } from './device.ts';
import { boxRegistered, instrumentRegistered, lotRegistered } from './gear.ts';
import { labRegistered } from './lab.ts';
import { limitSetRegistered } from './limit-set.ts';
import { loggerRegistered } from './logger.ts';
import { reportBrought } from './brought.ts';
import { personRegistered } from './people.ts';
import { pointRegistered } from './point.ts';

/** The registers by name. Everything registered has a book of its own; the latest of its entries says what stands. */
export const registers = {
  points: pointRegistered,
  labs: labRegistered,
  instruments: instrumentRegistered,
  lots: lotRegistered,
  boxes: boxRegistered,
  programmes: programmeRegistered,
  criteria: criterionRegistered,
  limits: limitSetRegistered,
  loggers: loggerRegistered,
  reports: reportBrought,
  people: personRegistered,
  devices: deviceRegistered,
} as const;
export type RegisterName = keyof typeof registers;

export const registerNames = Object.keys(registers) as RegisterName[];

/** The register that a kind of entry belongs to, or null. */
export function registerOf(kind: string): RegisterName | null {
  return registerNames.find((name) => registers[name].kind === kind) ?? null;
}

export const registerKinds: readonly AnyKind[] = Object.values(registers);
