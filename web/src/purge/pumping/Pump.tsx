import {
  pumpedAt,
  pumpingLevelRead,
  pumpSwitched,
  questionPumpingLevel,
  flowTimed,
  type PurgeSetUp,
  type PurgeState,
} from '@fonte/core/purge';
import type { VisitState } from '@fonte/core/round';
import { base, fromBase, show, showNumber, unitLabel, type Typed } from '@fonte/core/units';
import { Button } from 'antd';
import type { z } from 'zod';
import { useRound } from '../../book/useRound.ts';
import { Said } from '../../feedback/Said.tsx';
import { useAction } from '../../feedback/useAction.ts';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { FormDialog } from '../../form/FormDialog.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { May } from '../../session/May.tsx';
import { useNow } from '../../time/useNow.ts';
import { useSettled } from '../../time/useSettled.ts';
import { useUnitSystem } from '../../units/system.ts';
import { FlowForm } from './FlowForm.tsx';

/** A level between sets: while the pump runs, or while the well recovers. */
function LevelForm({ visit, purge, what, close }: { visit: VisitState; purge: PurgeState; what: string; close: () => void }) {
  const { append } = useRound();
  const { system } = useUnitSystem();
  const form = useEntryForm<{ level: Typed }, z.output<typeof pumpingLevelRead.payload>>({
    keep: `pumping-level.${visit.id}`,
    initial: { level: { text: '', unit: system === 'us' ? 'ft' : 'm' } },
    schema: pumpingLevelRead.payload,
    ask: ({ level }) => questionPumpingLevel(base(level), purge, visit.level?.agreed ?? null),
    write: async (payload, { id, kept }) => {
      await append(pumpingLevelRead, payload, { at: visit.id, id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Write the level down" className="stack">
      <Field name="level" label={what} big autoFocus />
    </EntryForm>
  );
}

/** What the pump does: on and off, how fast, how far down the level, and what is out by now. */
export function Pump({ visit, purge, setUp }: { visit: VisitState; purge: PurgeState; setUp: PurgeSetUp }) {
  const { append } = useRound();
  const {
    units: {
      volume: [unit, decimals],
    },
  } = useUnitSystem();
  const { busy, run, say } = useAction();
  const time = useNow();
  const isOn = purge.pumping.since !== null;
  const out = pumpedAt(purge.pumping, time);
  const { flow } = purge.pumping;
  const what = purge.pumping.isOff ? 'Level while it recovers' : 'Level while pumping';
  const switchTo = (pump: 'on' | 'off' | 'ran-dry') => void run(() => append(pumpSwitched, { pump }, { at: visit.id }));
  return (
    <section className="pump" aria-label="The pump">
      <div className="row">
        <May do={pumpSwitched}>
          <Switch key={String(isOn)} isOn={isOn} isFirst={purge.count === 0} busy={busy} switchTo={switchTo} />
        </May>
        <FormDialog open="Time the flow" title="Time the flow" by={flowTimed.by}>
          {(close) => <FlowForm visit={visit.id} setUp={setUp} close={close} />}
        </FormDialog>
        <FormDialog open="Level" aria-label={what} title={what} by={pumpingLevelRead.by}>
          {(close) => <LevelForm visit={visit} purge={purge} what={what} close={close} />}
        </FormDialog>
      </div>
      <p className="soft small" aria-live="off">
        {flow === null ? 'No flow timed yet' : flow < 1e-3 / 60 ? show(flow, 'mL/min', 0) : show(flow, 'L/min', 2)}
        {isOn && out !== null ? `; by flow and time ${showNumber(fromBase(out, unit), decimals)} ${unitLabel(unit)} are out` : ''}
      </p>
      <Said say={say} />
    </section>
  );
}

function Switch({
  isOn,
  isFirst,
  busy,
  switchTo,
}: {
  isOn: boolean;
  isFirst: boolean;
  busy: boolean;
  switchTo: (to: 'on' | 'off' | 'ran-dry') => void;
}) {
  const settled = useSettled();
  return isOn ? (
    <>
      <Button loading={busy} disabled={!settled} onClick={() => switchTo('off')}>
        Pump off
      </Button>
      <Button loading={busy} disabled={!settled} onClick={() => switchTo('ran-dry')}>
        It ran dry
      </Button>
    </>
  ) : (
    <Button type={isFirst ? 'primary' : 'default'} loading={busy} disabled={!settled} onClick={() => switchTo('on')}>
      Pump on
    </Button>
  );
}
