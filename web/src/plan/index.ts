export { GiveUp } from './GiveUp.tsx';
export { PlanPanel } from './PlanPanel.tsx';
export { boxNames } from './boxes.ts';
