export { ByHand } from './ByHand.tsx';
export { Gaps } from './Gaps.tsx';
export { asPrinted } from './printed.ts';
