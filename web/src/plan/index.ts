export { GiveUp } from './GiveUp.tsx';
export { PlanPanel } from './PlanPanel.tsx';
