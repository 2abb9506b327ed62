export { TakeOver } from './TakeOver.tsx';
