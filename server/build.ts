import { bundle } from './bundle.ts';

await bundle({
  entryPoints: {
    main: 'src/main.ts',
    'read-child': 'src/read/child.ts',
    verify: 'src/commands/verify.ts',
    rebuild: 'src/commands/rebuild.ts',
    backup: 'src/commands/backup.ts',
    restore: 'src/commands/restore.ts',
  },
  outdir: 'dist',
  sourcemap: true,
});
