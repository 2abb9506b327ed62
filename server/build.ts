import { bundle } from './bundle.ts';

await bundle({
  entryPoints: {
    main: 'src/main.ts',
    'read-child': 'src/read/child.ts',
    verify: 'src/commands/verify.ts',
    'verify-child': 'src/commands/verify-child.ts',
    rebuild: 'src/commands/rebuild.ts',
    backup: 'src/commands/backup.ts',
    restore: 'src/commands/restore.ts',
    link: 'src/commands/link.ts',
  },
  outdir: 'dist',
  sourcemap: true,
});
