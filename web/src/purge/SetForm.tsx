import { parameter, questionReading } from '@fonte/core/parameters';
import { purgeReading, type ProbeParameter, type PurgeSetUp } from '@fonte/core/purge';
import type { VisitState } from '@fonte/core/round';
import { Button, Input, type InputRef } from 'antd';
import { useId, useRef, useState, type Ref } from 'react';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { useUnitSystem } from '../units/system.ts';
import { TypedField } from '../units/TypedField.tsx';
import { useDraft } from '../units/useDraft.ts';
import { setErrors, setPayload, unitsFor, type SetDraft } from './setDraft.ts';

interface FieldsProps {
  draft: SetDraft;
  parameters: readonly ProbeParameter[];
  errors: Record<string, string>;
  onChange: (draft: SetDraft) => void;
  onLast: () => void;
  /** The first field, so that the next set can begin there. */
  first?: Ref<InputRef>;
}

/** The fields of one set. Enter moves on to the next; on the last it writes the set down. */
export function SetFields({ draft, parameters, errors, onChange, onLast, first }: FieldsProps) {
  const fields = useRef<(InputRef | null)[]>([]);
  const ref = (index: number) => (input: InputRef | null) => {
    fields.current[index] = input;
  };
  const next = (index: number) => () => {
    const field = fields.current[index + 1];
    if (field) field.focus();
    else onLast();
  };
  return (
    <div className="set-fields">
      <TypedField
        ref={first ?? null}
        label="Pumped so far"
        value={draft.pumped}
        units={['L', 'gal']}
        error={errors['pumped']}
        onChange={(pumped) => onChange({ ...draft, pumped })}
        onEnter={next(0)}
      />
      {parameters.map((id, index) => (
        <TypedField
          key={id}
          ref={ref(index + 1)}
          label={parameter(id).name}
          units={unitsFor(id)}
          error={errors[id]}
          value={draft.values[id] ?? { text: '', unit: unitsFor(id)[0]! }}
          onChange={(typed) => onChange({ ...draft, values: { ...draft.values, [id]: typed } })}
          onEnter={next(index + 1)}
        />
      ))}
      <TypedField
        ref={ref(parameters.length + 1)}
        label="Level while pumping"
        hint="Leave empty if not read"
        value={draft.level}
        units={['m', 'ft']}
        error={errors['level']}
        onChange={(level) => onChange({ ...draft, level })}
        onEnter={next(parameters.length + 1)}
      />
    </div>
  );
}

/** One set of readings with the pumped total. */
export function SetForm({ visit, setUp }: { visit: VisitState; setUp: PurgeSetUp }) {
  const { append } = useRound();
  const { system } = useUnitSystem();
  const empty: SetDraft = {
    pumped: { text: '', unit: system === 'us' ? 'gal' : 'L' },
    values: {},
    level: { text: '', unit: system === 'us' ? 'ft' : 'm' },
    note: '',
  };
  const [draft, setDraft, clear, entryId] = useDraft<SetDraft>(`set.${visit.id}`, empty);
  const [tried, setTried] = useState(false);
  const { busy, run, say } = useAction();
  const note = useId();
  const first = useRef<InputRef>(null);
  const errors = setErrors(draft, setUp.parameters);
  const questions = setUp.parameters.flatMap((id) => {
    const typed = draft.values[id];
    return typed?.text.trim() ? questionReading(id, typed).filter((finding) => finding.severity === 'question') : [];
  });
  const write = () => {
    setTried(true);
    if (Object.keys(errors).length > 0 || busy) return;
    void run(async () => {
      await append(purgeReading, setPayload(draft, setUp.parameters), {
        at: visit.id,
        id: entryId,
        kept: () => {
          clear();
          setTried(false);
          first.current?.focus();
        },
      });
    });
  };
  return (
    <form
      className="stack"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <h2>Set {(visit.purge?.count ?? 0) + 1}</h2>
      <SetFields
        draft={draft}
        parameters={setUp.parameters}
        errors={tried ? errors : {}}
        onChange={setDraft}
        onLast={write}
        first={first}
      />
      <div className="typed">
        <label htmlFor={note}>Colour, odour, anything odd</label>
        <Input id={note} value={draft.note} maxLength={300} onChange={(event) => setDraft({ ...draft, note: event.target.value })} />
      </div>
      <Findings of={questions} />
      <Said say={say} />
      <div>
        <Button type={visit.purge?.ready ? 'default' : 'primary'} size="large" htmlType="submit" loading={busy}>
          Write the set down
        </Button>
      </div>
    </form>
  );
}
