export { Door } from './Door.tsx';
export { House } from './House.tsx';
export { PersonMenu } from './PersonMenu.tsx';
export { Proven } from './Proven.tsx';
