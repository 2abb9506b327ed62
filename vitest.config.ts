import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // Most of what is tested waits for processes, disks and pages: two files at a time, on two cores as well.
    maxWorkers: 2,
    projects: [
      // The core keeps no state and waits for nothing: its files share what one of them has loaded.
      { test: { name: 'core', include: ['core/src/**/*.test.ts'], testTimeout: 30_000, isolate: false, pool: 'threads' } },
      { test: { name: 'server', include: ['server/src/**/*.test.ts', 'server/test/**/*.test.ts'], testTimeout: 20_000 } },
      { test: { name: 'demo', include: ['demo/**/*.test.ts', 'scripts/**/*.test.ts'], testTimeout: 20_000 } },
      { test: { name: 'web', include: ['web/*.test.ts', 'web/src/**/*.test.{ts,tsx}'], testTimeout: 20_000 } },
      {
        test: {
          name: 'e2e',
          include: ['e2e/**/*.test.ts'],
          testTimeout: 240_000,
          hookTimeout: 60_000,
          maxWorkers: 2,
          // A file’s server and browser are its own; what it needs beside them keeps no state.
          isolate: false,
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
