import { analysisName, type AnalysisId, type BottleTable } from '@fonte/core/bottles';
import { suggest } from '@fonte/core/plan';
import type { Point } from '@fonte/core/registers';
import { Button, Checkbox } from 'antd';
import { offered } from '../editions/analyses.ts';
import { ManySelect } from '../form/ManySelect.tsx';

/** What is asked for most, and stands open on every plan. */
export const everyday: readonly AnalysisId[] = ['coliforms', 'general', 'nutrients', 'metals', 'lead'];

interface Props {
  point: Point;
  table: BottleTable;
  value: readonly AnalysisId[];
  onChange: (chosen: AnalysisId[]) => void;
  /** What stands before the labels of its controls. */
  name: string;
}

/** The analyses of one visit: those of every day to tick, the rest to find, and what suits such a point. */
export function AnalysisChoice({ point, table, value, onChange, name }: Props) {
  const common = everyday.filter((id) => table.analyses[id]);
  const others = value.filter((id) => !common.includes(id));
  const missing = suggest(point).filter(({ analysis }) => table.analyses[analysis] && !value.includes(analysis));
  return (
    <div className="stack">
      <Checkbox.Group
        value={value.filter((id) => common.includes(id))}
        options={common.map((id) => ({ value: id, label: analysisName(table, id) }))}
        onChange={(chosen) => onChange([...chosen, ...others])}
      />
      <ManySelect
        aria-label={`More analyses at ${name}`}
        placeholder="More analyses"
        value={others}
        options={offered(table, common)}
        onChange={(chosen: AnalysisId[]) => onChange([...value.filter((id) => common.includes(id)), ...chosen])}
      />
      {missing.length > 0 && (
        <details className="small">
          <summary>Suits such a point: {missing.map(({ analysis }) => analysisName(table, analysis)).join(', ')}</summary>
          <ul className="plain offers">
            {missing.map(({ analysis, why }) => (
              <li key={analysis}>
                <span>
                  <span className="strong">{analysisName(table, analysis)}.</span> <span className="soft">{why}</span>
                </span>
                <Button onClick={() => onChange([...value, analysis])} aria-label={`Ask for ${analysisName(table, analysis)} at ${name}`}>
                  Ask for it
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
