export { Door } from './Door.tsx';
export { PersonMenu } from './PersonMenu.tsx';
export { Proven } from './Proven.tsx';
