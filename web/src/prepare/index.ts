export { Checked, Unchecked, Unproven, useShut } from './Checked.tsx';
