import { analysisIds, analysisName, type AnalysisId, type BottleTable } from '@fonte/core/bottles';
import type { Point } from '@fonte/core/registers';
import { Button, Checkbox } from 'antd';

/** A visit that is being planned: the point as it is registered now, and what is asked of it. */
export interface VisitDraft {
  id: string;
  point: Point;
  analyses: AnalysisId[];
}

/** What is usually asked at a point of its type. */
export const usualAnalyses = (point: Point): AnalysisId[] => (point.type === 'well' ? ['general', 'nutrients', 'metals'] : ['coliforms']);

interface Props {
  visit: VisitDraft;
  /** Whether it is the first visit of its point, the second, … */
  nth: number;
  table: BottleTable;
  onChange: (analyses: AnalysisId[]) => void;
  onAgain: () => void;
  onRemove: () => void;
}

/** One visit of the round: where, what for, once more, or not at all. */
export function VisitChoice({ visit: { point, analyses }, nth, table, onChange, onAgain, onRemove }: Props) {
  const name = nth > 1 ? `${point.name}, visit ${nth}` : point.name;
  return (
    <div className="choose-point">
      <div className="row between">
        <Checkbox checked onChange={onRemove}>
          <span className="strong">{name}</span>{' '}
          <span className="soft">
            {point.code}, {point.place}
          </span>
        </Checkbox>
        <Button type="text" size="small" onClick={onAgain} aria-label={`Visit again: ${point.name}`}>
          Visit again
        </Button>
      </div>
      <Checkbox.Group
        value={analyses}
        options={analysisIds.filter((id) => table.analyses[id]).map((id) => ({ value: id, label: analysisName(table, id) }))}
        onChange={onChange}
      />
    </div>
  );
}
