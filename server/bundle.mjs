import { fileURLToPath, URL } from 'node:url';
import { build } from 'esbuild';

const here = (path) => fileURLToPath(new URL(path, import.meta.url));
const common = { bundle: true, format: 'esm', platform: 'node', target: 'node20' };

export async function bundle(options) {
  await build({
    ...options,
    ...common,
    splitting: true,
    plugins: [
      {
        name: 'packages-stay-outside',
        setup: (setup) =>
          setup.onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@fonte/') ? undefined : { path, external: true })),
      },
    ],
  });
}

export async function bundleAll(outdir, sourcemap = false) {
  const command = (name) => [name, here(`src/commands/${name}.ts`)];
  const commands = ['verify', 'verify-child', 'rebuild', 'backup', 'restore', 'link'].map(command);
  await bundle({ entryPoints: { main: here('src/main.ts'), ...Object.fromEntries(commands) }, outdir, sourcemap });
  // It is started for every file of a lab: in one piece with its packages it starts in a third of the time.
  await build({
    ...common,
    entryPoints: { 'read-child': here('src/read/child.ts') },
    outdir,
    minify: true,
    // Only a PDF or a message needs them, and they are as large as the rest.
    external: ['unpdf/pdfjs', 'postal-mime', 'html-to-text'],
    // What some packages ask for when they are bundled.
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
  });
}
