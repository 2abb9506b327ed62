export { Bottles } from './Bottles.tsx';
export { FillNow } from './FillNow.tsx';
export { useLabelsAtOnce } from './labelsAtOnce.ts';
export { Scan } from './Scan.tsx';
