export { Door, House, PersonMenu } from './parts.tsx';
export { Proven } from './Proven.tsx';
