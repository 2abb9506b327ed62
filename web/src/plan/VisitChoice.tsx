import type { AnalysisId, BottleTable } from '@fonte/core/bottles';
import { causes, type Because } from '@fonte/core/due';
import type { Point } from '@fonte/core/registers';
import { Button, Checkbox } from 'antd';
import { setsForWater } from '@fonte/core/limits';
import { AnalysisChoice } from './AnalysisChoice.tsx';
import { LimitSets, type OfferedSet } from '../editions/LimitSets.tsx';
import { siteZone, showMoment } from '../time/show.ts';
import { questionOutOfUse, questionSurface } from '@fonte/core/plan';
import { Findings } from '../findings/Findings.tsx';

/** A visit that is being planned: the point as it is registered now, and what is asked of it. */
export interface VisitDraft {
  id: string;
  point: Point;
  analyses: AnalysisId[];
  /** Limits of this point alone; not there where those of the round hold. */
  limits?: string[];
  /** What asks for it, where it is no sample of the usual programme. */
  because?: Because;
}

/** What is usually asked at a point of its type. */
const usualAnalyses = (point: Point): AnalysisId[] => (point.type === 'well' ? ['general', 'nutrients', 'metals'] : ['coliforms']);

/** A visit of a point as it is proposed for a day: what is usually asked there, and the limits of what its water is used for. */
export function usualVisit(id: string, point: Point, day: string): VisitDraft {
  const limits = setsForWater(point, day);
  return { id, point, analyses: usualAnalyses(point), ...(limits ? { limits } : {}) };
}

interface Props {
  visit: VisitDraft;
  /** Whether it is the first visit of its point, the second, … */
  nth: number;
  table: BottleTable;
  /** The limit sets that hold on the day. */
  sets: readonly OfferedSet[];
  onChange: (change: Pick<VisitDraft, 'analyses' | 'limits' | 'because'>) => void;
  onAgain: () => void;
  onRemove: () => void;
}

/** One visit of the round: where, what for, once more, or not at all. */
export function VisitChoice({ visit: { point, analyses, limits, because }, nth, table, sets, onChange, onAgain, onRemove }: Props) {
  const asked = because ? { because } : {};
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
      <Findings of={[...questionOutOfUse([point]), ...questionSurface([{ point, analyses }])]} />
      {because && (
        <p className="small">
          <span className="strong">{causes[because.as].name}</span> for {because.of}, by {showMoment(because.by, siteZone())}
        </p>
      )}
      <AnalysisChoice
        point={point}
        table={table}
        name={name}
        value={analyses}
        onChange={(chosen) => onChange({ ...asked, analyses: chosen, ...(limits ? { limits } : {}) })}
      />
      <details open={limits !== undefined}>
        <summary className="small">Limits of this point alone</summary>
        <LimitSets
          label={`Limits of ${name} alone`}
          value={limits ?? []}
          sets={sets}
          placeholder="As the round"
          onChange={(chosen) => onChange({ ...asked, analyses, ...(chosen.length > 0 ? { limits: chosen } : {}) })}
        />
      </details>
    </div>
  );
}
