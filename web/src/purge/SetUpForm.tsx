import { parameter } from '@fonte/core/parameters';
import { criteria, insideDiameter, pipe, pipeIds, probeParameters, purgeSetUp, type PipeId, type ProbeParameter } from '@fonte/core/purge';
import { refOf } from '@fonte/core/editions';
import type { WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { fromBase, showNumber, type Typed } from '@fonte/core/units';
import { Button, Checkbox, Segmented, Select } from 'antd';
import { useId, useState } from 'react';
import { Said } from '../book/Said.tsx';
import { useAction } from '../book/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { numberError, TypedField } from '../units/TypedField.tsx';
import { useDraft } from '../units/useDraft.ts';
import { useUnitSystem } from '../units/system.ts';

interface Draft {
  pipe: string;
  diameter: Typed;
  volumes: number;
  criterion: string;
  parameters: ProbeParameter[];
}

/** The true inside diameter, how many volumes, and by which criterion the readings are judged. */
export function SetUpForm({ visit, point, onDone }: { visit: VisitState; point: WellPoint; onDone?: () => void }) {
  const { append } = useRound();
  const {
    units: {
      diameter: [unit, decimals],
    },
  } = useUnitSystem();
  const given = visit.purge?.setUp;
  const typed = (metres: number): Typed => ({ text: showNumber(fromBase(metres, unit), decimals), unit });
  const [draft, setDraft, clear, entryId] = useDraft<Draft>(`purge-set-up.${visit.id}`, {
    pipe: given?.pipe ?? point.well.pipe ?? '',
    diameter: given?.insideDiameterTyped ?? typed(point.well.insideDiameter),
    volumes: given?.volumes ?? 3,
    criterion: given?.criterion ?? refOf(criteria.newest[0]!),
    parameters: given?.parameters ?? ['temperature', 'ph', 'conductivity', 'oxygen', 'turbidity'],
  });
  const [tried, setTried] = useState(false);
  const { busy, run, at, say } = useAction();
  const [pipeId, ruleId] = [useId(), useId()];
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const rule = criteria.find(draft.criterion);
  const judged = rule?.tolerances.map((tolerance) => tolerance.parameter) ?? [];
  const problem = numberError(draft.diameter);
  const write = () => {
    setTried(true);
    if (problem) return;
    void run(async () => {
      await append(
        purgeSetUp,
        {
          insideDiameter: draft.diameter,
          ...(draft.pipe ? { pipe: draft.pipe } : {}),
          volumes: draft.volumes,
          criterion: draft.criterion,
          parameters: draft.parameters,
        },
        { at: visit.id, id: entryId, kept: clear },
      );
      onDone?.();
    });
  };
  return (
    <form
      className="stack-wide"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <div className="typed">
        <label htmlFor={pipeId}>Casing</label>
        <Select
          id={pipeId}
          size="large"
          value={draft.pipe}
          onChange={(value) => set({ pipe: value, ...(value ? { diameter: typed(insideDiameter(value as PipeId)) } : {}) })}
          options={[
            { value: '', label: 'Other: type the inside diameter' },
            ...pipeIds.map((value) => ({ value, label: pipe(value).name })),
          ]}
        />
        {draft.pipe && <p className="soft small">{pipe(draft.pipe as PipeId).source}</p>}
      </div>
      <TypedField
        label="True inside diameter"
        value={draft.diameter}
        units={['mm', 'in']}
        onChange={(diameter) => set({ diameter, pipe: '' })}
        error={(tried ? problem : undefined) ?? at('insideDiameter')}
        hint="Not the nominal size: a “2 inch” pipe measures 2.067 in."
      />
      <div className="typed">
        <span className="strong">Volumes to remove</span>
        <Segmented
          aria-label="Volumes to remove"
          value={draft.volumes}
          onChange={(volumes) => set({ volumes })}
          options={[3, 4, 5].map((value) => ({ value, label: String(value) }))}
        />
      </div>
      <div className="typed">
        <label htmlFor={ruleId}>Stable when</label>
        <Select
          id={ruleId}
          size="large"
          value={draft.criterion}
          onChange={(value) => set({ criterion: value })}
          options={criteria.newest.map((one) => ({ value: refOf(one), label: one.name }))}
        />
        <p className="soft small">
          {(rule?.tolerances ?? [])
            .filter(({ parameter: id }) => (draft.parameters as string[]).includes(id))
            .map(
              ({ parameter: id, absolute, percent, floor }) =>
                `${parameter(id).name} ± ${absolute ?? `${percent} %`}${floor === undefined ? '' : ` (free at or below ${floor})`}`,
            )
            .join(', ')}
          . {rule?.source}.
        </p>
      </div>
      <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
        <legend className="strong">Read at each set</legend>
        <Checkbox.Group
          value={draft.parameters}
          onChange={(parameters) => set({ parameters })}
          options={probeParameters.map((value) => ({
            value,
            label: `${parameter(value).name}${(judged as string[]).includes(value) ? '' : ' (not judged)'}`,
          }))}
        />
        {at('parameters') && <p className="field-error">{at('parameters')}</p>}
      </fieldset>
      <Said say={(at('insideDiameter') ?? at('parameters')) ? null : say} />
      <div>
        <Button type="primary" size="large" htmlType="submit" loading={busy}>
          {given ? 'Change the set-up' : 'Start the purge'}
        </Button>
      </div>
    </form>
  );
}
