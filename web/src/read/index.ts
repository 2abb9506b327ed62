export { Gaps } from './Gaps.tsx';
