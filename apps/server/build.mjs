// Makes one file of the service and one of its threads, from TypeScript: read in a tenth of the time. Packages that only compute, which are those of the core, go into
// them; the others stay outside.
import { readFileSync } from 'node:fs';
import { build } from 'esbuild';

const core = JSON.parse(readFileSync('../../packages/core/package.json', 'utf8'));
const INSIDE = [
  /^[./]/,
  /^@velvet-tape\//,
  ...Object.keys(core.dependencies).map((name) => new RegExp(`^${name}(/|$)`)),
];

await build({
  entryPoints: { main: 'src/main.ts', thread: 'src/work/tasks.ts', 'show-link': 'src/entry/show-link.ts' },
  ...{ bundle: true, sourcemap: true, platform: 'node', format: 'esm', target: 'node20' },
  ...{ outdir: 'dist', outExtension: { '.js': '.mjs' }, logLevel: 'warning' },
  plugins: [
    {
      name: 'packages stay outside',
      setup: ({ onResolve }) =>
        onResolve({ filter: /./ }, ({ kind, path }) =>
          kind === 'entry-point' || INSIDE.some((each) => each.test(path)) ? undefined : { path, external: true },
        ),
    },
  ],
});
