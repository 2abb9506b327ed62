import { showDate } from '@fonte/core/time';
import { analysisIds, analysisName, type AnalysisId } from '@fonte/core/bottles';
import { analysisAdded, analysisRemoved } from '@fonte/core/plan';
import type { VisitState } from '@fonte/core/round';
import { Checkbox, Select } from 'antd';
import { useState } from 'react';
import { DataTable } from '../feedback/DataTable.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useMay } from '../session/May.tsx';
import { useRound } from '../book/useRound.ts';
import { AddPoint } from './AddPoint.tsx';
import { findAnalysis, offered } from '../editions/analyses.ts';
import { everyday } from './AnalysisChoice.tsx';
import { Extras, MissingExtras } from './Extras.tsx';
import { Labels } from './Labels.tsx';
import { OtherLabs } from './OtherLabs.tsx';
import { Packing } from './Packing.tsx';
import './plan.css';

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

/** What is measured and sampled where; changing it changes bottles and labels at once. */
export function PlanPanel() {
  const { round } = useRound();
  const may = useMay(analysisAdded);
  const [added, setAdded] = useState<AnalysisId[]>([]);
  const table = round.tables.bottles;
  const columns = analysisIds.filter(
    (id) =>
      table?.analyses[id] && (everyday.includes(id) || added.includes(id) || round.visits.some((visit) => visit.analyses.includes(id))),
  );
  return (
    <div className="plan">
      <section className="stack">
        <div className="row between">
          <h2>Points and analyses</h2>
          <span className="row">
            {may && (
              <Select
                aria-label="One more analysis"
                placeholder="One more analysis"
                value={null}
                options={offered(table, columns)}
                showSearch={{ filterOption: findAnalysis }}
                popupMatchSelectWidth={false}
                className="one-more"
                onChange={(id: AnalysisId | null) => {
                  if (id) setAdded([...added, id]);
                }}
              />
            )}
            <AddPoint />
          </span>
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
            ...columns.map((id) => ({
              title: analysisName(table, id),
              render: (visit: VisitState) => <Asked visit={visit} analysis={id} />,
            })),
            { title: 'Bottles', isNumber: true, render: (visit) => visit.bottles.filter((bottle) => !bottle.lost).length },
          ]}
        />
        <MissingExtras />
        <p className="soft small">
          {showDate(round.plan.date)}. {round.plan.system}.{' '}
          {round.plan.lab ? `Lab: ${round.plan.lab.name}.` : 'No lab: levels only, or bring the samples to a lab of your own.'}
        </p>
        <OtherLabs />
        <Labels />
      </section>
      <Packing />
    </div>
  );
}
