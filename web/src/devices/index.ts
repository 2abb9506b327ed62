import './devices.css';

export { Connect } from './Connect.tsx';
export { Rig } from './Rig.tsx';
export { Tape } from './Tape.tsx';
export { useDevices } from './useDevices.ts';
export { useHeard } from './useHeard.ts';
