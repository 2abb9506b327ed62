export { BottlePicture } from './BottlePicture.tsx';
export { Bottles } from './Bottles.tsx';
export { Discard } from './Discard.tsx';
export { FillNow } from './FillNow.tsx';
export { useLabelsAtOnce } from './labelsAtOnce.ts';
export { Scan } from './Scan.tsx';
