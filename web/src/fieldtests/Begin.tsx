import { shownSource } from '@fonte/core/editions';
import { method, testBegun, type MethodId } from '@fonte/core/fieldtests';
import type { VisitState } from '@fonte/core/round';
import { Checkbox, InputNumber } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { KitFields, lastKit, rememberKit, type KitDraft } from './KitFields.tsx';
import { asMade, InstrumentField, LotField, lotOf, theOnly, useInstruments, useLots } from './made.tsx';

interface Draft {
  instrument: string;
  lotOf?: string;
  lot: { lot: string; expires: string };
  isDiluted: boolean;
  parts: number;
  isOtherwise: boolean;
  otherwise: string;
  kit: KitDraft;
}

/** What is done, in its order, with why. */
export function Guide({ id }: { id: MethodId }) {
  const { guide, reagent, source } = method(id);
  return (
    <div className="stack">
      <ol className="guide">
        {guide.map(({ say, why }) => (
          <li key={say}>
            <span className="strong">{say}.</span> <span className="soft small">{why}</span>
          </li>
        ))}
      </ol>
      <p className="soft small">
        {reagent ? `Reagent: ${reagent}. ` : ''}
        {shownSource(source)}
      </p>
    </div>
  );
}

/** From the cuvette to the reagent: with the press of its button the clock runs. */
export function Begin({ visit, id, begun }: { visit: VisitState; id: MethodId; begun: () => void }) {
  const { append, round } = useRound();
  const instruments = useInstruments(id);
  const lots = useLots(id);
  const { unit, asksKit } = method(id);
  const form = useEntryForm<Draft, z.output<typeof testBegun.payload>>({
    keep: `fieldtest.${visit.id}.${id}`,
    initial: {
      instrument: '',
      lot: { lot: '', expires: '' },
      isDiluted: false,
      parts: 10,
      isOtherwise: false,
      otherwise: '',
      kit: lastKit(id, unit),
    },
    schema: testBegun.payload,
    at: (path) => (path === 'lot' ? 'lotOf' : path),
    read: ({ instrument, lotOf: chosenLot, lot, isDiluted, parts, isOtherwise, otherwise, kit }) => {
      const filled = asksKit ? asTyped({ kit }, testBegun.payload) : null;
      return {
        value: {
          ...(filled ? (filled.value as object) : {}),
          method: id,
          ...asMade(theOnly(instruments, instrument)),
          ...lotOf(lots, chosenLot, lot),
          parts: isDiluted ? parts : 1,
          ...(isOtherwise ? { otherwise } : {}),
        },
        problems: [
          ...(filled?.problems ?? []),
          ...(instruments.length > 1 && !instrument ? [{ path: 'instrument', message: 'Say which.' }] : []),
        ],
      };
    },
    // That a lot is out of date is said by the book at the field of its reason.
    write: async (payload, { id: entry, kept }) => {
      await append(testBegun, payload, { at: visit.id, id: entry, kept });
      if (payload.kit) rememberKit(id, payload.kit);
      begun();
    },
  });
  const { lotOf: chosen, isDiluted, isOtherwise } = form.values;
  const lot = lots.find((one) => one.id === chosen);
  return (
    <EntryForm of={form} submit="Reagent is in: start its clock" enter="nothing" className="stack begin-test">
      <InstrumentField instruments={instruments} />
      <LotField lots={lots} tests={round.visits.flatMap(({ tests }) => tests)} chosen={chosen ?? ''} />
      {lot && lot.expires < visit.date && !isOtherwise && (
        <p className="finding question">This lot is out of date. Take another, or say below what was otherwise.</p>
      )}
      {asksKit && <KitFields unit={unit} />}
      {method(id).range && (
        <Field name="isDiluted" label="" isTicked>
          <Checkbox>The sample is diluted</Checkbox>
        </Field>
      )}
      {isDiluted && (
        <Field name="parts" label="Made up to how many parts" hint="1 part of the sample and 9 of water that has none of it are 10 parts">
          <InputNumber size="large" min={2} max={1000} precision={0} style={{ width: 140 }} inputMode="numeric" />
        </Field>
      )}
      <Field name="isOtherwise" label="" isTicked>
        <Checkbox>Something was otherwise: no fresh zero, a wet cuvette, a lot that nobody can read …</Checkbox>
      </Field>
      {isOtherwise && <Field name="otherwise" />}
    </EntryForm>
  );
}
