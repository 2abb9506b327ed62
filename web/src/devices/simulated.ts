import type { Listen, ProbeReading, PumpReading, TapeReading, WellDevices } from '@fonte/core/devices';
import { probeParameters } from '@fonte/core/purge';
import { Instruments, sounds, withFlow, type Played } from '@fonte/core/simulation';
import { now } from '../time/clock.ts';

/** How often the simulated instruments say something, in ms. */
const often = 500;

/** Devices at a simulated well, and what was done to it. */
export interface SimulatedDevices extends WellDevices {
  played: () => Played;
  /** What a jug under the hose holds since it was emptied, in m³. */
  jug: () => number;
  emptyJug: () => void;
  level: () => number;
}

/** Instruments at a simulated well. What is done to it is told to `kept`, so that a reload finds it as it was. */
export function simulate(begun: Played, kept: (played: Played) => void): SimulatedDevices {
  let played = begun;
  const instruments = new Instruments(begun);
  const timers = new Set<ReturnType<typeof setInterval>>();
  const well = () => instruments.at(now(), played);
  const every =
    <R>(read: () => R): Listen<R> =>
    (heard) => {
      heard(read());
      const timer = setInterval(() => heard(read()), often);
      timers.add(timer);
      return () => {
        clearInterval(timer);
        timers.delete(timer);
      };
    };
  let tip = 0;
  let emptied = 0;
  return {
    tape: {
      name: 'Simulated tape',
      moveTo: (depth) => {
        tip = Math.max(0, depth);
      },
      listen: every((): TapeReading => ({ at: now(), depth: tip, sounds: sounds(well(), tip, played.seed) })),
    },
    pump: {
      name: 'Simulated pump',
      most: 12e-3 / 60,
      setFlow: (flow) => {
        played = withFlow(played, flow, now());
        kept(played);
      },
      listen: every((): PumpReading => {
        const { knob, flow, isDry } = well();
        return { at: now(), set: knob, flow: knob === 0 ? 0 : flow, isDry };
      }),
    },
    probe: {
      name: 'Simulated probe',
      parameters: probeParameters,
      listen: every((): ProbeReading => ({ at: now(), values: well().reading() })),
    },
    disconnect: () => {
      for (const timer of timers) clearInterval(timer);
      timers.clear();
    },
    played: () => played,
    jug: () => well().pumped - emptied,
    emptyJug: () => {
      emptied = well().pumped;
    },
    level: () => well().level,
  };
}
