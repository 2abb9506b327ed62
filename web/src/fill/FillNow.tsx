import { purpose } from '@fonte/core/bottles';
import { bottleDiscarded, bottleFilled, discardReasons } from '@fonte/core/fill';
import type { BottleState } from '@fonte/core/round';
import { Button, Modal, Select, Input } from 'antd';
import { useId, useState } from 'react';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { useSettled } from '../time/useSettled.ts';
import { BottlePicture } from './BottlePicture.tsx';
import { RuleCard } from './RuleCard.tsx';

type Reason = keyof typeof discardReasons;

/** Throws a bottle away with its reason; a spare takes its place. Never pour off, never fill up. */
export function Discard({ bottle }: { bottle: BottleState }) {
  const { append } = useRound();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState<Reason>('overfilled');
  const [note, setNote] = useState('');
  const { busy, run, say } = useAction();
  const [why, more] = [useId(), useId()];
  const throwAway = () =>
    run(async () => {
      await append(bottleDiscarded, { bottle: bottle.id, reason, ...(note.trim() ? { note } : {}) }, { at: bottle.visit });
      setOpen(false);
    });
  return (
    <>
      <Button size="large" onClick={() => setOpen(true)} aria-label={`Throw away ${bottle.id}`}>
        Throw away
      </Button>
      <Modal open={open} title={`Throw ${bottle.id} away, take a spare`} onCancel={() => setOpen(false)} footer={null} destroyOnHidden>
        <div className="stack">
          <p>Never pour off and never fill up: a new bottle.</p>
          <div className="typed">
            <label htmlFor={why}>Why</label>
            <Select
              id={why}
              size="large"
              value={reason}
              onChange={setReason}
              options={Object.entries(discardReasons).map(([value, label]) => ({ value: value as Reason, label }))}
            />
          </div>
          <div className="typed">
            <label htmlFor={more}>Anything to add</label>
            <Input id={more} value={note} maxLength={300} onChange={(event) => setNote(event.target.value)} />
          </div>
          <Said say={say} />
          <div className="row">
            <Button type="primary" danger loading={busy} onClick={() => void throwAway()}>
              Throw it away
            </Button>
            <Button onClick={() => setOpen(false)}>Keep it</Button>
          </div>
        </div>
      </Modal>
    </>
  );
}

/** The bottle that is filled next, with its rule card. Tapping “Filled” records the time. */
export function FillNow({ bottle }: { bottle: BottleState }) {
  const { append } = useRound();
  const { busy, run, say } = useAction();
  const rule = bottle.card;
  const settled = useSettled();
  return (
    <section className="fill-card" aria-label={`Bottle ${bottle.id}`}>
      <BottlePicture rule={rule} filled={false} />
      <div className="stack">
        <div>
          <p className="soft small">
            {bottle.spare ? 'Spare: write its own label' : 'Next bottle'}
            {bottle.purpose === 'sample' ? '' : `. ${purpose(bottle.purpose).name}: ${purpose(bottle.purpose).why}`}
          </p>
          <p className="label-like">{bottle.id}</p>
          <h2>{rule.name}</h2>
        </div>
        {bottle.supply && (
          <p className="finding question small">
            Open {bottle.supply}, the water that the lab supplied, here at the point and pour all of it into this bottle.
          </p>
        )}
        <RuleCard rule={rule} />
        <Said say={say} />
        <div className="row">
          <Button
            type="primary"
            size="large"
            loading={busy}
            disabled={!settled}
            onClick={() => void run(() => append(bottleFilled, { bottle: bottle.id }, { at: bottle.visit }))}
          >
            Filled and capped
          </Button>
          <Discard bottle={bottle} />
        </div>
      </div>
    </section>
  );
}
