import { cleanup } from '@testing-library/react';
import { afterEach } from 'vitest';

/* What the components of a form ask a browser for and jsdom has not. A file that draws one begins with `@vitest-environment jsdom` and this. */

const never = { matches: false, addEventListener: () => undefined, removeEventListener: () => undefined };
globalThis.matchMedia = (media) => ({ ...never, media, onchange: null }) as unknown as MediaQueryList;
globalThis.ResizeObserver = class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};

afterEach(cleanup);
