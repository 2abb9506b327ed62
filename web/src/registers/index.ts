export { RegisterHead, useMayRegister } from './RegisterNav.tsx';
export { thingPage } from './ThingPage.tsx';
export { freshId, useRegister } from './useRegister.ts';
export { ZoneSelect } from './lab/ZoneSelect.tsx';
export { Seen } from './scout/Seen.tsx';
