import { bottleLabelled, readCode, type Scanned } from '@fonte/core/fill';
import type { BottleState } from '@fonte/core/round';
import { Button } from 'antd';
import { useState } from 'react';
import { useRound } from '../book/useRound.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { May } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Scan } from './Scan.tsx';

/** Whether this bottle has its own label on: scanned, or looked at. The wrong bottle is a stop; a code of the lab's is kept as its other name. */
export function LabelOn({ bottle }: { bottle: BottleState }) {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const [read, setRead] = useState<Exclude<Scanned, { is: 'this' }> | null>(null);
  const write = (how: 'scanned' | 'by-eye', code?: string) =>
    run(async () => {
      await append(bottleLabelled, { bottle: bottle.id, how, ...(code ? { code } : {}) }, { at: bottle.visit });
      setRead(null);
    });
  const look = (text: string) => {
    const found = readCode(text, bottle, round.bottles);
    if (found?.is === 'this') void write('scanned');
    else setRead(found);
  };
  const other = read?.is === 'other' ? round.visits.find(({ id }) => id === read.visit) : null;
  if (bottle.labelled && !read)
    return (
      <p className="word tone-good small">
        <Mark kind="good" size={16} />
        {bottle.id} has its label on{bottle.code ? `; the lab calls it ${bottle.code}` : ''}
      </p>
    );
  return (
    <May do={bottleLabelled}>
      <div className="stack">
        <div className="row">
          <Scan label={`Scan ${bottle.id}`} onRead={look} />
          <Button size="large" loading={busy} onClick={() => void write('by-eye')}>
            Label is on
          </Button>
        </div>
        {read?.is === 'other' && (
          <p className="finding stop" role="alert">
            <Mark kind="stop" />
            <span>
              <span className="strong">That is {read.bottle}</span>
              {other && other.id !== bottle.visit ? `, of ${other.name}` : ''}, and not {bottle.id}. Put it back and take the right one.
            </span>
          </p>
        )}
        {read?.is === 'unknown' && (
          <div className="finding question" role="alert">
            <Mark kind="question" />
            <p>
              “{read.code}” is no label of this round. Is it the lab’s own code on {bottle.id}?
            </p>
            <div className="row">
              <Button loading={busy} onClick={() => void write('scanned', read.code)}>
                Yes, keep it as its other name
              </Button>
              <Button onClick={() => setRead(null)}>No</Button>
            </div>
          </div>
        )}
        <Said say={say} />
      </div>
    </May>
  );
}
