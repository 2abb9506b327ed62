export { MiniStream } from './MiniStream.tsx';
