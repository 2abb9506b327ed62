import type { ParameterId } from '../parameters/index.ts';
import type { ProbeParameter } from '../purge/index.ts';
import type { Typed } from '../units/index.ts';

/*
 * What instruments look like to the pages. The simulated ones implement it; a driver for a real one does the same over Web Serial or Web
 * Bluetooth, which need no more than a page: it opens the port when `connect` is called by a press, turns what comes into readings as the
 * instrument shows them, and ends when `disconnect` is called. Whatever a device says is a proposal: a person takes it over, and what is
 * written is the same entry as by hand.
 */

/** Tells whoever listens of every new reading until the returned function is called. */
export type Listen<R> = (heard: (reading: R) => void) => () => void;

/** An electric tape: it sounds when its tip is under water. */
export interface LevelTape {
  name: string;
  /** Lowers or raises the tip to a depth below the mark, in m. */
  moveTo: (depth: number) => void;
  /** Where the tip is, in m below the mark, and whether it sounds. */
  listen: Listen<TapeReading>;
}
export interface TapeReading {
  /** ms since 1970 in UTC. */
  at: number;
  depth: number;
  sounds: boolean;
}

/** A pump with a knob. */
export interface Pump {
  name: string;
  /** The greatest flow it can be set to, in m³/s. */
  most: number;
  /** Sets the flow in m³/s; 0 stops it. */
  setFlow: (flow: number) => void;
  listen: Listen<PumpReading>;
}
export interface PumpReading {
  at: number;
  /** What it was set to, and what comes, in m³/s: less where the well gives no more. */
  set: number;
  flow: number;
  /** It draws air. */
  isDry: boolean;
}

/** A multi-parameter probe in a flow cell. */
export interface Probe {
  name: string;
  parameters: readonly ProbeParameter[];
  /** Readings with the digits of its display. */
  listen: Listen<ProbeReading>;
}
export interface ProbeReading {
  at: number;
  values: Partial<Record<ProbeParameter, Typed>>;
}

/** The instruments at a well, while they are connected. */
export interface WellDevices {
  tape: LevelTape;
  pump: Pump;
  probe: Probe;
  disconnect: () => void;
}

/** A photometer with a cuvette in it. */
export interface Photometer {
  name: string;
  /** What it shows now, as text in the unit of its method; null where that is over its range. */
  read: (cuvette: PhotometerCuvette) => Promise<string | null>;
}
export interface PhotometerCuvette {
  parameter: ParameterId;
  /** When the reagent went in, ms since 1970 in UTC. */
  begunAt: number;
  /** The sample was made up to so many parts. */
  parts: number;
  isZeroed: boolean;
  most: number;
  step: number;
}
