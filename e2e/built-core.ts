import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { buildSync } from 'esbuild';

const CORE = '../packages/core/src';

/**
 * The core as a few files of plain JavaScript, where tsconfig.run.json has journeys find it: Playwright would compile its five hundred modules by itself, and read them
 * one by one in each of its processes. Every configuration asks for it; built once, by the process that is started first.
 */
export function builtCore(): { tsconfig: string } {
  if (!process.env['TEST_WORKER_INDEX']) {
    const rooms = readdirSync(CORE).filter((room) => existsSync(join(CORE, room, 'index.ts')));
    buildSync({
      entryPoints: {
        index: join(CORE, 'index.ts'),
        ...Object.fromEntries(rooms.map((room) => [room, join(CORE, room, 'index.ts')])),
      },
      ...{ bundle: true, splitting: true, platform: 'node', format: 'esm', target: 'node20', logLevel: 'warning' },
      ...{ outdir: 'node_modules/.core', outExtension: { '.js': '.mjs' } },
    });
  }
  return { tsconfig: './tsconfig.run.json' };
}
