export { aboutNumber } from './aboutResult.ts';
export { LimitScale } from './LimitScale.tsx';
export { Others } from './Others.tsx';
export { SomePeople, Sum } from './Sums.tsx';
export { verdictWords } from './verdictWords.ts';
