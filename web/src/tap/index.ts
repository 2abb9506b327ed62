export { StepNow } from './StepNow.tsx';
