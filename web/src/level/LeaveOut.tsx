import { levelLeftOut, type LevelState } from '@fonte/core/level';
import type { VisitState } from '@fonte/core/round';
import { Reasoned } from '../book/Reasoned.tsx';

/** Where no tape gets in: the level is left out with a reason, and the work goes on without it. */
export function LeaveOut({ visit, level }: { visit: VisitState; level: LevelState }) {
  if (level.agreed && !level.leftOut) return null;
  return (
    <Reasoned
      kind={levelLeftOut}
      stood={level.leftOut}
      at={visit.id}
      keep={`level-left-out.${visit.id}`}
      words={{
        open: 'The level cannot be read',
        title: 'Leave the level out',
        why: 'Why it cannot be read',
        write: 'Leave the level out',
        back: 'Back',
        stood: 'Left out',
        what: 'leaving the level out',
      }}
    />
  );
}
