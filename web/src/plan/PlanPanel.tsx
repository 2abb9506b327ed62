import { showDate } from '@fonte/core/time';
import { analysisIds, analysisName, cardOf, extraPurposes, purpose, type AnalysisId, type BottleTable } from '@fonte/core/bottles';
import { analysisAdded, analysisRemoved, bottlesPacked, countBottles, extraPlanned } from '@fonte/core/plan';
import type { VisitState } from '@fonte/core/round';
import { Button, Checkbox, Select } from 'antd';
import { Correct } from '../book/Correct.tsx';
import { DataTable } from '../feedback/DataTable.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useMay } from '../session/May.tsx';
import { useRound } from '../book/useRound.ts';
import { AddPoint } from './AddPoint.tsx';
import { Labels } from './Labels.tsx';
import './plan.css';

/** What can be asked for in the edition of the round. */
const offered = (table: BottleTable | null) => analysisIds.filter((id) => table?.analyses[id]);

/** Whether an analysis is asked for at a visit; changed at once. */
function Asked({ visit, analysis }: { visit: VisitState; analysis: AnalysisId }) {
  const { append } = useRound();
  const { busy, run, say } = useAction();
  const may = useMay(analysisAdded);
  const toggle = (on: boolean) => void run(() => append(on ? analysisAdded : analysisRemoved, { analysis }, { at: visit.id }));
  return (
    <>
      <Checkbox
        checked={visit.analyses.includes(analysis)}
        disabled={busy || !may}
        onChange={(event) => toggle(event.target.checked)}
        aria-label={`${analysisName(visit.table, analysis)} at ${visit.name}`}
      />
      <Said say={say} />
    </>
  );
}

/** Duplicates and blanks that go along for this visit. */
function Extras({ visit }: { visit: VisitState }) {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const may = useMay(extraPlanned);
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
      {choices.length > 0 && may && (
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
  const may = useMay(bottlesPacked);
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
        <DataTable
          label="To pack"
          rows={counts}
          rowKey={({ rule }) => rule}
          columns={[
            {
              title: 'Kind',
              render: ({ rule }) => {
                const { name, volume, container, preservative } = cardOf(table!, rule);
                return (
                  <>
                    {name}, {volume} mL
                    <div className="small soft">
                      {container}
                      {preservative ? `. ${preservative.name}` : ''}
                    </div>
                  </>
                );
              },
            },
            { title: 'Bottles', isNumber: true, render: ({ needed }) => <span className="strong">{needed}</span> },
            { title: 'Spare', isNumber: true, render: ({ spares }) => spares },
          ]}
        />
      )}
      {counts.some(({ rule }) => cardOf(table!, rule).preservative?.hazard.includes('cid')) && (
        <p className="finding question small">
          <span className="strong">Acid in bottles.</span> Gloves and eye protection; keep them upright. Your employer’s rules come first.
        </p>
      )}
      {unpacked.length > 0 && may && (
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
        <div className="row between">
          <h2>Points and analyses</h2>
          <AddPoint />
        </div>
        <DataTable
          label="Points and analyses"
          className="plan-table"
          rows={round.visits}
          rowKey={(visit) => visit.id}
          columns={[
            {
              title: 'Point',
              render: (visit) => (
                <>
                  <span className="strong">{visit.name}</span>
                  <div className="small soft">
                    {visit.point.code}, {visit.point.place}
                  </div>
                  <Extras visit={visit} />
                </>
              ),
            },
            ...offered(round.tables.bottles).map((id) => ({
              title: analysisName(round.tables.bottles, id),
              render: (visit: VisitState) => <Asked visit={visit} analysis={id} />,
            })),
            { title: 'Bottles', isNumber: true, render: (visit) => visit.bottles.filter((bottle) => !bottle.lost).length },
          ]}
        />
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
