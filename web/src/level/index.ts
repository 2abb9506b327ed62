export { WellSection } from './section/WellSection.tsx';
