import { fromBase, unitLabel } from '@fonte/core/units';
import { useEffect, useState } from 'react';
import { Course } from '../time/Course.tsx';
import { siteZone } from '../time/show.ts';
import { now } from '../time/clock.ts';
import { useUnitSystem } from '../units/system.ts';
import type { SimulatedDevices } from './simulated.ts';

/** How often, in ms, the level is looked at, and so many of the last looks are drawn. */
const often = 1000;
const most = 1200;

/** The level of a simulated well while it is watched. */
export function Trace({ devices }: { devices: SimulatedDevices }) {
  const {
    units: {
      depth: [unit],
    },
  } = useUnitSystem();
  const [seen, setSeen] = useState<readonly { at: number; level: number }[]>([]);
  useEffect(() => {
    const look = () =>
      setSeen((before) => {
        const at = now();
        // The demo's clock may stand between two looks.
        return before.at(-1)?.at === at ? before : [...before.slice(-most), { at, level: devices.level() }];
      });
    look();
    const timer = setInterval(look, often);
    return () => clearInterval(timer);
  }, [devices]);
  if (seen.length < 3) return null;
  return (
    <Course
      says={`The level of the simulated well, now at ${seen.at(-1)!.level.toFixed(3)} m`}
      times={seen.map(({ at }) => at)}
      values={seen.map(({ level }) => fromBase(level, unit))}
      axis={`Level, ${unitLabel(unit)}`}
      isReversed
      height={170}
      zone={siteZone()}
    />
  );
}
