import { analysisIds, analysisName, cardOf, extraPurposes, purpose, type AnalysisId, type BottleTable } from '@fonte/core/bottles';
import { analysisAdded, analysisRemoved, bottlesPacked, countBottles, extraPlanned } from '@fonte/core/plan';
import type { VisitState } from '@fonte/core/round';
import { Button, Checkbox, Select } from 'antd';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { showDate } from '../time/show.ts';
import { Labels } from './Labels.tsx';
import './plan.css';

/** What can be asked for in the edition of the round. */
const offered = (table: BottleTable | null) => analysisIds.filter((id) => table?.analyses[id]);

function Analyses({ visit }: { visit: VisitState }) {
  const { append } = useRound();
  const { busy, run, say } = useAction();
  const toggle = (id: AnalysisId, on: boolean) =>
    void run(() => append(on ? analysisAdded : analysisRemoved, { analysis: id }, { at: visit.id }));
  return (
    <tr>
      <th scope="row">
        {visit.name}
        <div className="small soft">
          {visit.point.code}, {visit.point.place}
        </div>
        <Extras visit={visit} />
      </th>
      {offered(visit.table).map((id) => (
        <td key={id} data-label={analysisName(visit.table, id)}>
          <Checkbox
            checked={visit.analyses.includes(id)}
            disabled={busy}
            onChange={(event) => toggle(id, event.target.checked)}
            aria-label={`${analysisName(visit.table, id)} at ${visit.name}`}
          />
        </td>
      ))}
      <td data-label="Bottles">
        {visit.bottles.filter((bottle) => !bottle.lost).length}
        {say && <Said say={say} />}
      </td>
    </tr>
  );
}

/** Duplicates and blanks that go along for this visit. */
function Extras({ visit }: { visit: VisitState }) {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const planned = round.extras.filter((one) => one.visit === visit.id && visit.analyses.includes(one.analysis));
  const choices = visit.analyses.flatMap((analysis) =>
    extraPurposes
      .filter((id) => !planned.some((one) => one.analysis === analysis && one.purpose === id))
      .map((id) => ({ value: `${analysis} ${id}`, label: `${purpose(id).name}: ${analysisName(visit.table, analysis)}` })),
  );
  const plan = (chosen: string) => {
    const [analysis, id] = chosen.split(' ') as [AnalysisId, (typeof extraPurposes)[number]];
    void run(() => append(extraPlanned, { analysis, purpose: id }, { at: visit.id }));
  };
  return (
    <div className="small">
      {planned.map((one) => (
        <div key={one.entry}>
          {purpose(one.purpose).name}: {analysisName(visit.table, one.analysis)}{' '}
          <Correct
            entry={one.entry}
            kind={extraPlanned}
            what={`${purpose(one.purpose).name.toLowerCase()} at ${visit.name}`}
            label="Take away"
          />
        </div>
      ))}
      {choices.length > 0 && (
        <Select
          aria-label={`Duplicate or blank at ${visit.name}`}
          size="small"
          value={null}
          placeholder="Duplicate or blank"
          disabled={busy}
          options={choices}
          onChange={(chosen: string | null) => {
            if (chosen) plan(chosen);
          }}
          popupMatchSelectWidth={false}
        />
      )}
      <Said say={say} />
    </div>
  );
}

function Packing() {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const table = round.tables.bottles;
  const counts = table
    ? countBottles(
        table,
        round.bottles.filter((bottle) => !bottle.spare),
      )
    : [];
  const unpacked = round.bottles.filter((bottle) => bottle.stage === 'planned').map((bottle) => bottle.id);
  return (
    <section className="panel">
      <h2>To pack</h2>
      {counts.length === 0 ? (
        <p className="soft">No analysis is chosen, so there is no bottle to pack.</p>
      ) : (
        <table className="dense">
          <thead>
            <tr>
              <th className="number">Bottles</th>
              <th className="number">Spare</th>
              <th>Kind</th>
            </tr>
          </thead>
          <tbody>
            {counts.map(({ rule, needed, spares }) => {
              const { name, volume, container, preservative } = cardOf(table!, rule);
              return (
                <tr key={rule}>
                  <td className="number strong">{needed}</td>
                  <td className="number">{spares}</td>
                  <td>
                    {name}, {volume} mL
                    <div className="small soft">
                      {container}
                      {preservative ? `. ${preservative.name}` : ''}
                    </div>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {counts.some(({ rule }) => cardOf(table!, rule).preservative?.hazard.includes('cid')) && (
        <p className="finding question small">
          <span className="strong">Acid in bottles.</span> Gloves and eye protection; keep them upright. Your employer’s rules come first.
        </p>
      )}
      {unpacked.length > 0 && (
        <div>
          <Button type="primary" loading={busy} onClick={() => void run(() => append(bottlesPacked, { bottles: unpacked }))}>
            {unpacked.length === 1 ? '1 bottle is' : `${unpacked.length} bottles are`} labelled and packed
          </Button>
        </div>
      )}
      <Said say={say} />
    </section>
  );
}

/** What is measured and sampled where; changing it changes bottles and labels at once. */
export function PlanPanel() {
  const { round } = useRound();
  return (
    <div className="plan">
      <section className="stack">
        <h2>Points and analyses</h2>
        <div className="scroll" tabIndex={0} role="region" aria-label="Points and analyses">
          <table className="dense plan-table">
            <thead>
              <tr>
                <th>Point</th>
                {offered(round.tables.bottles).map((id) => (
                  <th key={id}>{analysisName(round.tables.bottles, id)}</th>
                ))}
                <th>Bottles</th>
              </tr>
            </thead>
            <tbody>
              {round.visits.map((visit) => (
                <Analyses key={visit.id} visit={visit} />
              ))}
            </tbody>
          </table>
        </div>
        <p className="soft small">
          {showDate(round.plan.date)}. {round.plan.system}.{' '}
          {round.plan.lab ? `Lab: ${round.plan.lab.name}.` : 'No lab: levels only, or bring the samples to a lab of your own.'}
        </p>
        <Labels />
      </section>
      <Packing />
    </div>
  );
}
