import { loggerCompared, questionLogger, type LevelState } from '@fonte/core/level';
import type { VisitState } from '@fonte/core/round';
import { base, show, showTyped, type Typed } from '@fonte/core/units';
import type { z } from 'zod';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { useUnitSystem } from '../units/system.ts';

/** A logger that hangs in the well, held against the level by hand. */
export function Loggers({ visit, level }: { visit: VisitState; level: LevelState }) {
  const { agreed, loggers } = level;
  if (!agreed) return null;
  return (
    <section className="stack" aria-label="Logger in the well">
      {loggers.map((one) => (
        <p key={one.entry}>
          <span className="strong">{one.logger}</span> shows {showTyped(one.typed)}:{' '}
          {show(one.shows - agreed.depth, one.typed.unit === 'ft' ? 'ft' : 'mm', one.typed.unit === 'ft' ? 3 : 0)} against the hand.{' '}
          <Correct entry={one.entry} kind={loggerCompared} what={one.logger} />
        </p>
      ))}
      <div>
        <FormDialog type="text" by={loggerCompared.by} open="Compare a logger in the well" title="What the logger shows now">
          {(close) => <LoggerForm visit={visit} depth={agreed.depth} close={close} />}
        </FormDialog>
      </div>
    </section>
  );
}

function LoggerForm({ visit, depth, close }: { visit: VisitState; depth: number; close: () => void }) {
  const { append } = useRound();
  const { system } = useUnitSystem();
  const form = useEntryForm<{ logger: string; shows: Typed }, z.output<typeof loggerCompared.payload>>({
    keep: `logger.${visit.id}`,
    initial: { logger: '', shows: { text: '', unit: system === 'us' ? 'ft' : 'm' } },
    schema: loggerCompared.payload,
    ask: ({ shows }) => questionLogger(base(shows), depth),
    write: async (payload, { id, kept }) => {
      await append(loggerCompared, payload, { at: visit.id, id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Write the comparison down" className="stack">
      <Field name="logger" placeholder="serial number, or its name" />
      <Field name="shows" hint="Depth below the same mark" />
    </EntryForm>
  );
}
