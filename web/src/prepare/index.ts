export { Checked, Unchecked, useShut } from './Checked.tsx';
