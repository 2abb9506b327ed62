import { keepLoggerFile } from '@fonte/core/logger';
import { levelRecord } from '@fonte/core/level';
import type { WellPoint } from '@fonte/core/registers';
import { readOutLogger, seedOf } from '@fonte/core/simulation';
import { day, hour } from '@fonte/core/time';
import { Button } from 'antd';
import { call } from '../api/call.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useSession } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { draftOfFile, type LoggerDraft } from './draft.ts';

/** So long (ms) a simulated logger hung in the well, reading each quarter of an hour. */
const hung = 400 * day;

/** Reads a simulated logger out, and one in the air beside it: their files come as from a disk. Only the demo has any. */
export function ReadOut({ point, take }: { point: WellPoint; take: (files: Pick<LoggerDraft, 'water' | 'air' | 'shows'>) => void }) {
  const { demo } = useSession();
  const { busy, run, say } = useAction();
  const { data: record = [] } = useAnswer(levelRecord, demo ? { in: { point: point.id } } : null);
  if (!demo || record.length === 0) return null;
  const deepest = Math.max(...record.map(({ depth }) => depth));
  const read = () =>
    run(async () => {
      const to = Math.floor(now() / hour) * hour;
      const seed = seedOf(point.id);
      const { water, air } = readOutLogger({ from: to - hung, to, step: hour / 4, hangs: deepest + 4, drift: 0.002, seed }, record);
      const [ofWater, ofAir] = [
        await call(keepLoggerFile, { body: new Blob([water]) }),
        await call(keepLoggerFile, { body: new Blob([air]) }),
      ];
      take({
        shows: 'absolute',
        water: draftOfFile(`${point.code}-logger.csv`, ofWater, 'absolute'),
        air: draftOfFile(`${point.code}-air.csv`, ofAir, 'air'),
      });
    });
  return (
    <section className="devices row" aria-label="Simulated logger">
      <span className="small soft">A simulated logger hung here for {Math.round(hung / day)} days:</span>
      <Button size="small" loading={busy} onClick={() => void read()}>
        Read it out
      </Button>
      <Said say={say} />
    </section>
  );
}
