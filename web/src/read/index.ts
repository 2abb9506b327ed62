export { ByHand } from './ByHand.tsx';
export { Gaps } from './Gaps.tsx';
export { asPrinted } from './printed.ts';
export { PasteIn } from './PasteIn.tsx';
export { ReadAs, withColumns } from './ReadAs.tsx';
