export { RegisterHead } from './RegisterNav.tsx';
