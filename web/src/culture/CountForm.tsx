import { trays } from '@fonte/core/counts';
import { readField } from '../units/decimal.ts';
import {
  countOf,
  cultureMethod,
  cultureRead,
  cultureWords,
  impossibleCount,
  questionCount,
  timeDeparts,
  type Counted,
  type Culture,
} from '@fonte/core/culture';
import { say } from '@fonte/core/findings';

import { Checkbox, Input, Segmented } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import type { FieldProblem } from '../form/values.ts';
import { now } from '../time/clock.ts';
import { useNow } from '../time/useNow.ts';
import { Counts } from './Counts.tsx';

interface Draft {
  coliforms: string[];
  ecoli: string[];
  isTooMany: boolean;
  grew: '' | 'yes' | 'no';
  departure: string;
  kept: string;
}

const whole = (text: string): number | null => {
  const reading = readField(text);
  return reading.ok && Number.isInteger(reading.value) && reading.value >= 0 ? reading.value : null;
};

const labelOf = (volume: number) => `${Number(volume.toPrecision(3))} mL`;

/** The wells of a method, or one place for colonies. */
function placesOf({ method }: Culture): { label: string; of: string }[] {
  const { counts } = cultureMethod(method);
  if (counts.of === 'colonies') return [{ label: 'colonies', of: '' }];
  return trays[counts.tray].sets.map(({ volume, wells }) => ({ label: `positive of ${wells} of ${labelOf(volume)}`, of: String(wells) }));
}

/** What the draft says was counted; null while a number is missing. */
function countedIn(culture: Culture, draft: Draft): Counted | null {
  const { counts } = cultureMethod(culture.method);
  const places = placesOf(culture).map((_, place) => place);
  const [coliforms, ecoli] = [draft.coliforms, draft.ecoli].map((texts) => places.map((place) => whole(texts[place] ?? '')));
  if (counts.of === 'colonies') {
    if (draft.isTooMany) return ecoli![0] === null && draft.ecoli[0] ? null : { of: 'colonies', coliforms: null, ecoli: ecoli![0]! };
    return coliforms![0] === null || ecoli![0] === null ? null : { of: 'colonies', coliforms: coliforms![0]!, ecoli: ecoli![0]! };
  }
  const all = [...coliforms!, ...ecoli!];
  return all.includes(null) ? null : { of: 'wells', coliforms: coliforms as number[], ecoli: ecoli as number[] };
}

const empty: Draft = { coliforms: [], ecoli: [], isTooMany: false, grew: '', departure: '', kept: '' };

/** Counts one bottle, or says whether blank or control grew. */
export function CountForm({
  culture,
  what,
  close,
}: {
  culture: Culture;
  what: z.input<typeof cultureRead.payload>['what'];
  close: () => void;
}) {
  const { append } = useRound();
  const time = useNow();
  const name = what.is === 'bottle' ? what.bottle : what.is;
  const isGrowth = what.is !== 'bottle';
  const counted = (draft: Draft): Counted | null =>
    isGrowth ? (draft.grew === '' ? null : { of: 'growth', grew: draft.grew === 'yes' }) : countedIn(culture, draft);
  const wrong = (draft: Draft): FieldProblem[] => {
    const found = counted(draft);
    if (!found) {
      if (isGrowth) return [{ path: 'grew', message: 'Say whether it grew.' }];
      const at = (key: 'coliforms' | 'ecoli') =>
        placesOf(culture).flatMap((_, place) =>
          whole(draft[key][place] ?? '') === null && !(key === 'coliforms' && draft.isTooMany)
            ? [{ path: `${key}.${place}`, message: 'A whole number, also where it is 0.' }]
            : [],
        );
      return [...at('coliforms'), ...at('ecoli')];
    }
    const cannot = impossibleCount(culture.method, found);
    const place = Number(cannot?.data['place'] ?? 0);
    return cannot ? [{ path: `${cannot.code === 'more-ecoli' ? 'ecoli' : 'coliforms'}.${place}`, message: say(cultureWords, cannot) }] : [];
  };
  const asked = (draft: Draft) => {
    const found = counted(draft);
    return found ? questionCount(culture.method, found) : [];
  };
  const form = useEntryForm<Draft, z.output<typeof cultureRead.payload>>({
    keep: `count.${culture.id}.${name}`,
    initial: empty,
    schema: cultureRead.payload,
    read: (draft) => {
      const late = timeDeparts(culture, now());
      const isAsked = asked(draft).length > 0;
      return {
        value: {
          culture: culture.id,
          what,
          counted: counted(draft),
          ...(late ? { departure: draft.departure } : {}),
          ...(isAsked ? { kept: draft.kept } : {}),
        },
        problems: [
          ...wrong(draft),
          ...(late && draft.departure.trim().length < 3 ? [{ path: 'departure', message: 'Say why, in a few words.' }] : []),
          ...(isAsked && draft.kept.trim().length < 3
            ? [{ path: 'kept', message: 'Count again and correct it, or say why it is right.' }]
            : []),
        ],
      };
    },
    write: async (payload, { id, kept }) => {
      await append(cultureRead, payload, { id, kept });
      close();
    },
  });
  const draft = form.values;
  const found = counted(draft);
  const isPossible = found !== null && impossibleCount(culture.method, found) === null;
  const count = isPossible ? countOf(culture.method, found, culture.filtered) : null;
  const late = timeDeparts(culture, time);
  const isColonies = cultureMethod(culture.method).counts.of === 'colonies';
  return (
    <EntryForm of={form} submit="Write it down" enter="moves-on" className="stack" leave={{ says: 'Not now', by: close }}>
      <p className="soft small">{cultureMethod(culture.method).tells}</p>
      {isGrowth ? (
        <Field name="grew" label={what.is === 'blank' ? 'Did the blank grow?' : 'Did the positive control grow?'}>
          <Segmented
            size="large"
            aria-label={what.is === 'blank' ? 'Did the blank grow?' : 'Did the positive control grow?'}
            options={[
              { value: 'yes', label: 'It grew' },
              { value: 'no', label: 'It did not' },
            ]}
          />
        </Field>
      ) : (
        placesOf(culture).map(({ label }, place) => (
          <div key={label} className="form-grid">
            {!(isColonies && draft.isTooMany) && (
              <Field name={['coliforms', place]} label={`Coliforms, ${label}`}>
                <Input size="large" inputMode="numeric" autoComplete="off" autoFocus={place === 0} />
              </Field>
            )}
            <Field name={['ecoli', place]} label={`Of them E. coli${isColonies ? '' : `, ${label.replace(/^positive /, '')}`}`}>
              <Input size="large" inputMode="numeric" autoComplete="off" />
            </Field>
          </div>
        ))
      )}
      {!isGrowth && isColonies && (
        <Field name="isTooMany" label="" isTicked>
          <Checkbox>Too many colonies to count</Checkbox>
        </Field>
      )}
      {count && <Counts of={count} />}
      <Findings of={asked(draft)} />
      {asked(draft).length > 0 && <Field name="kept" />}
      {late && <Field name="departure" label={say(cultureWords, { code: `culture-${late}` })} />}
    </EntryForm>
  );
}
