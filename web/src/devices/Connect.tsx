import { atRest, lastLevel, levelRecord } from '@fonte/core/level';
import { belowMark, type WellPoint } from '@fonte/core/registers';
import { seedOf, shapeOf, wellCharacter, wellNames, type WellName } from '@fonte/core/simulation';
import { Button, Segmented, Select } from 'antd';
import { useEffect, useState } from 'react';
import { moveClock } from '@fonte/core/endpoints';
import { call } from '../api/call.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { moveOn } from '../time/clock.ts';
import { useSession } from '../session/session.ts';
import { connect, disconnect, useDevices } from './useDevices.ts';

/** What hangs in a simulated well where nobody said: from the middle of its screen, 6 mm inside, a cell of half a litre. */
const tubingArea = (Math.PI / 4) * 0.006 ** 2;
const cell = 0.5e-3;

const rates = [1, 5, 20, 60];

/** Makes the demo's time go faster. */
function Lapse() {
  const [rate, setRate] = useState(1);
  useEffect(() => {
    if (rate === 1) return;
    let isBusy = false;
    const timer = setInterval(() => {
      if (isBusy) return;
      isBusy = true;
      // The server's clock goes first: nothing is written before it.
      void call(moveClock, { body: { seconds: rate - 1 } })
        .then(() => moveOn((rate - 1) * 1000))
        .catch(() => undefined)
        .finally(() => {
          isBusy = false;
        });
    }, 1000);
    return () => clearInterval(timer);
  }, [rate]);
  return (
    <Segmented
      aria-label="Time goes"
      size="small"
      value={rate}
      onChange={setRate}
      options={rates.map((value) => ({ value, label: `${value}×` }))}
    />
  );
}

/** Instruments that are connected to the page, or a way to connect them. Only the demo has any: a driver for a real one would stand here too. */
export function Connect({ visit, point, rest }: { visit: string; point: WellPoint; rest: number | null }) {
  const { demo } = useSession();
  const devices = useDevices(visit);
  const { data: record = [] } = useAnswer(levelRecord, demo ? { in: { point: point.id } } : null);
  const [well, setWell] = useState<WellName>('fast');
  if (!demo) return null;
  const begin = () => {
    const mark = point.well.measuringPoints.find(({ until }) => until === undefined) ?? point.well.measuringPoints[0]!;
    const last = lastLevel(atRest(record), mark.name)?.depth ?? null;
    const shape = shapeOf(point.well, mark, rest ?? last, seedOf(visit));
    if (rest !== null) shape.rest = rest;
    const intake = belowMark(mark, point.well.intake) ?? (shape.screenTop + shape.screenBottom) / 2;
    connect(visit, well, shape, { intake, tubing: tubingArea * (intake + 3), cell });
  };
  return (
    <section className="devices row" aria-label="Simulated instruments">
      {devices ? (
        <>
          <span className="small">
            <span className="strong">{wellCharacter(devices.played().well).name}</span>, simulated.{' '}
            <span className="soft">{wellCharacter(devices.played().well).says}</span>
          </span>
          <Lapse />
          <Button size="small" onClick={() => disconnect(visit)}>
            Disconnect
          </Button>
        </>
      ) : (
        <>
          <span className="small soft">Instruments of a simulated well:</span>
          <Select<WellName>
            aria-label="Which well"
            size="small"
            value={well}
            onChange={setWell}
            options={wellNames.map((value) => ({ value, label: wellCharacter(value).name }))}
            popupMatchSelectWidth={false}
          />
          <Button size="small" onClick={begin}>
            Connect
          </Button>
        </>
      )}
    </section>
  );
}
