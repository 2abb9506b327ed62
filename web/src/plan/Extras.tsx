import { analysisName, extraPurposes, purpose, type AnalysisId } from '@fonte/core/bottles';
import { extraPlanned, missingExtras, sayEvery, type MissingExtra } from '@fonte/core/plan';
import type { VisitState } from '@fonte/core/round';
import { Button, Select } from 'antd';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { May, useMay } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';
import { BlindDuplicate } from './BlindDuplicate.tsx';

/** Duplicates and blanks that go along for this visit. */
export function Extras({ visit }: { visit: VisitState }) {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const may = useMay(extraPlanned);
  const planned = round.extras.filter((one) => one.visit === visit.id && visit.analyses.includes(one.analysis));
  const choices = visit.analyses.flatMap((analysis) =>
    extraPurposes
      .filter((id) => !purpose(id).isBlind && !planned.some((one) => one.analysis === analysis && one.purpose === id))
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
          {purpose(one.purpose).name}: {analysisName(visit.table, one.analysis)}
          {one.as ? `, as ${one.as.code}, ${one.as.name}` : ''}{' '}
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
      {may && <BlindDuplicate visit={visit} />}
      <Said say={say} />
    </div>
  );
}

/** Blanks and duplicates that belong to what is planned and are not in the plan: each to be planned with one touch. */
export function MissingExtras() {
  const { round, append } = useRound();
  const { busy, run, say } = useAction();
  const table = round.tables.bottles;
  const missing = table
    ? missingExtras(
        round.visits.map(({ id, point, analyses }) => ({ id, point, analyses })),
        table,
        round.extras,
      )
    : [];
  if (missing.length === 0) return null;
  const plan = async (some: readonly MissingExtra[]) => {
    for (const { visit, analysis, purpose: id } of some) await append(extraPlanned, { analysis, purpose: id }, { at: visit });
  };
  const nameOf = (id: string) => round.visits.find((visit) => visit.id === id)!.name;
  return (
    <section className="finding question" aria-label="Blanks and duplicates that are missing">
      <Mark kind="question" />
      <div className="stack">
        <p className="strong">
          {missing.length === 1
            ? 'A blank or duplicate belongs to this plan and is not in it.'
            : `${missing.length} blanks and duplicates belong to this plan and are not in it.`}
        </p>
        <ul className="plain offers">
          {missing.map((one) => (
            <li key={`${one.visit} ${one.analysis} ${one.purpose}`}>
              <span>
                {purpose(one.purpose).name} for {analysisName(table, one.analysis)}, at {nameOf(one.visit)}{' '}
                <span className="soft small">{sayEvery(one.every)}</span>
              </span>
              <May do={extraPlanned}>
                <Button disabled={busy} onClick={() => void run(() => plan([one]))}>
                  Plan it
                </Button>
              </May>
            </li>
          ))}
        </ul>
        <Said say={say} />
        {missing.length > 1 && (
          <May do={extraPlanned}>
            <div>
              <Button loading={busy} onClick={() => void run(() => plan(missing))}>
                Plan all {missing.length}
              </Button>
            </div>
          </May>
        )}
      </div>
    </section>
  );
}
