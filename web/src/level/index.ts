export { WellSection } from './WellSection.tsx';
