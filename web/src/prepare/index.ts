export { Checked, Gate, Unproven, useGate } from './Checked.tsx';
