export { Bottles } from './Bottles.tsx';
export { FillNow } from './FillNow.tsx';
