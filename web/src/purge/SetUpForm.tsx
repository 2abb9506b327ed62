import { parameter } from '@fonte/core/parameters';
import {
  criteria,
  insideDiameter,
  pipe,
  pipeIds,
  probeParameters,
  purgeMethod,
  purgeMethodIds,
  purgeSetUp,
  questionBuilt,
  type PipeId,
  type ProbeParameter,
  type PurgeChoice,
  type PurgeMethodId,
} from '@fonte/core/purge';
import { refOf } from '@fonte/core/editions';
import { belowMark, type WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { base, fromBase, showNumber, type Typed } from '@fonte/core/units';
import { Button, Checkbox, Segmented, Select } from 'antd';
import { useId, useState } from 'react';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { Figure } from '../working/Figure.tsx';
import { numberError, TypedField } from '../units/TypedField.tsx';
import { useDraft } from '../units/useDraft.ts';
import { useUnitSystem } from '../units/system.ts';

interface Draft {
  method: PurgeMethodId;
  ranBefore: boolean;
  pipe: string;
  diameter: Typed;
  /** Bottom below the mark, where the register does not know it. */
  bottom: Typed;
  volumes: number;
  criterion: string;
  parameters: ProbeParameter[];
}

/** By which method, with what that asks for, and by which criterion the readings are judged. What is to be pumped stands there before the start. */
export function SetUpForm({ visit, point, onDone }: { visit: VisitState; point: WellPoint; onDone?: () => void }) {
  const { append } = useRound();
  const {
    units: {
      diameter: [unit, decimals],
      volume: [volumeUnit, volumeDecimals],
      depth: [depthUnit],
    },
  } = useUnitSystem();
  const given = visit.purge?.setUp?.chosen;
  const byVolumes = given?.method === 'volumes' ? given : null;
  const agreed = visit.level?.agreed ?? null;
  const typed = (metres: number): Typed => ({ text: showNumber(fromBase(metres, unit), decimals), unit });
  const [draft, setDraft, clear, entryId] = useDraft<Draft>(`purge-set-up.${visit.id}`, {
    method: given?.method ?? (agreed || point.use === 'monitoring' ? 'volumes' : 'running'),
    ranBefore: given?.method === 'running' ? given.ranBefore : false,
    pipe: byVolumes?.pipe ?? point.well.pipe ?? '',
    diameter:
      byVolumes?.insideDiameter ?? (point.well.insideDiameter === undefined ? { text: '', unit } : typed(point.well.insideDiameter)),
    bottom: byVolumes?.bottom ?? { text: '', unit: depthUnit === 'ft' ? 'ft' : 'm' },
    volumes: byVolumes?.volumes ?? 3,
    criterion: given?.criterion ?? refOf(criteria.newest[0]!),
    parameters: given ? [...given.parameters] : ['temperature', 'ph', 'conductivity', 'oxygen', 'turbidity'],
  });
  const [tried, setTried] = useState(false);
  const { busy, run, at, say } = useAction();
  const [pipeId, ruleId] = [useId(), useId()];
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const rule = criteria.find(draft.criterion);
  const judged = rule?.tolerances.map((tolerance) => tolerance.parameter) ?? [];
  const method = purgeMethod(draft.method);
  const mark = point.well.measuringPoints.find(({ name }) => name === agreed?.measuringPoint);
  const isBottomKnown = mark !== undefined && belowMark(mark, point.well.bottom) !== null;
  const asksBottom = draft.method === 'volumes' && (!isBottomKnown || byVolumes?.bottom !== undefined);
  const wrong = {
    diameter: draft.method === 'volumes' ? numberError(draft.diameter) : undefined,
    bottom: asksBottom ? numberError(draft.bottom) : undefined,
  };
  const problem = wrong.diameter ?? wrong.bottom;
  const judgedBy = { criterion: draft.criterion, parameters: draft.parameters };
  // One for each method, so that none is ever written down as another.
  const choices: Record<PurgeMethodId, () => PurgeChoice> = {
    volumes: () => ({
      method: 'volumes',
      insideDiameter: draft.diameter,
      ...(draft.pipe ? { pipe: draft.pipe } : {}),
      ...(asksBottom ? { bottom: draft.bottom } : {}),
      volumes: draft.volumes,
      ...judgedBy,
    }),
    running: () => ({ method: 'running', ranBefore: draft.ranBefore, ...judgedBy }),
  };
  const chosen = choices[draft.method]();
  const aim = problem ? null : method.aim(chosen, point, agreed);
  const asked =
    draft.method === 'volumes' && !wrong.diameter ? questionBuilt({ insideDiameter: base(draft.diameter), pipe: draft.pipe }) : [];
  const write = () => {
    setTried(true);
    if (problem) return;
    void run(async () => {
      await append(purgeSetUp, chosen, { at: visit.id, id: entryId, kept: clear });
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
        <span className="strong">Method</span>
        <Segmented<PurgeMethodId>
          aria-label="Method"
          value={draft.method}
          onChange={(chosenMethod) => set({ method: chosenMethod })}
          options={purgeMethodIds.map((value) => ({
            value,
            label: purgeMethod(value).title,
            disabled: purgeMethod(value).needsLevel && !agreed,
          }))}
        />
        <p className="soft small">
          {method.meantFor}. {method.source}.
        </p>
      </div>
      {draft.method === 'running' && (
        <Checkbox checked={draft.ranBefore} onChange={(event) => set({ ranBefore: event.target.checked })}>
          The pump was running already
        </Checkbox>
      )}
      {draft.method === 'volumes' && (
        <>
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
            error={(tried ? wrong.diameter : undefined) ?? at('insideDiameter')}
            hint="Not the nominal size: a “2 inch” pipe measures 2.067 in."
          />
          {asksBottom && (
            <TypedField
              label="Bottom below the mark"
              value={draft.bottom}
              units={['m', 'ft']}
              onChange={(bottom) => set({ bottom })}
              error={(tried ? wrong.bottom : undefined) ?? at('bottom')}
              hint="The register does not know it: sound it with the tape."
            />
          )}
          <div className="typed">
            <span className="strong">Volumes to remove</span>
            <Segmented
              aria-label="Volumes to remove"
              value={draft.volumes}
              onChange={(volumes) => set({ volumes })}
              options={[3, 4, 5].map((value) => ({ value, label: String(value) }))}
            />
          </div>
          <Findings of={asked} />
          {aim && (
            <div className="figures">
              <Figure label="One volume" of={aim.oneVolume} unit={volumeUnit} decimals={volumeDecimals} />
              <Figure label="To remove" of={aim.target} unit={volumeUnit} decimals={volumeDecimals} />
            </div>
          )}
        </>
      )}
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
      <Said say={(at('insideDiameter') ?? at('bottom') ?? at('parameters')) ? null : say} />
      <div>
        <Button type="primary" size="large" htmlType="submit" loading={busy}>
          {given ? 'Change the set-up' : 'Start the purge'}
        </Button>
      </div>
    </form>
  );
}
