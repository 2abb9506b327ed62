import type { Stage } from '@fonte/core/round';

export const stageNames: Record<Stage, string> = {
  planned: 'Planned',
  ready: 'Ready',
  measured: 'Measured',
  filled: 'Filled',
  'handed-over': 'Handed over',
  reported: 'Reported',
  judged: 'Judged',
};
