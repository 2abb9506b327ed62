// The worker as TypeScript, for whoever runs the server from its source: threads do not inherit the loader.
import { register } from 'tsx/esm/api';

register();
const { default: readOne } = await import('./worker.ts');
export default readOne;
