/**
 * Builds the tests of a package, and of the service, before Jest runs them: all of them at once, with what several of them import in pieces that they share. Jest loads
 * five hundred modules one by one in two seconds, for each of a hundred test files; a few pieces take a tenth of one. What computes a lot computes as fast as in the application.
 */
const { execFile } = require('node:child_process');
const { readFileSync, readdirSync } = require('node:fs');
const { mkdir, rm, writeFile } = require('node:fs/promises');
const { dirname, join } = require('node:path');
const { pathToFileURL } = require('node:url');
const { promisify } = require('node:util');
const { build, transform } = require('esbuild');
const { GLOBALS } = require('./in-node.cjs');

const root = join(__dirname, '..');
const [core, service] = [join(root, 'packages/core'), join(root, 'apps/server')];
const named = (folder, ...lists) =>
  lists.flatMap((list) => Object.keys(JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'))[list] ?? {}));
/** What only computes goes into the pieces; what reads files of its own, or only the tests know, stays outside. */
const computes = new Set(named(core, 'dependencies'));

/** Where the tests of a project are once they are built: its own packages are found from there. */
const builtIn = (project) => join(project, 'node_modules/.cache/tests');

/** Puts something in the place of what all else is made with: shares nothing. */
const standsAlone = (test) => /^import '\.\/with-/m.test(readFileSync(test, 'utf8'));

async function buildTests(project) {
  const into = builtIn(project);
  const tests = readdirSync(join(project, 'tests'))
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => join(project, 'tests', name));
  const alone = tests.filter(standsAlone);
  const shared = tests.filter((test) => !alone.includes(test));
  await rm(into, { recursive: true, force: true });
  await mkdir(into, { recursive: true });
  for (const entryPoints of [shared, ...alone.map((test) => [test])]) {
    const { outputFiles } = await build({
      entryPoints,
      ...{ bundle: true, splitting: true, write: false, outdir: into, outbase: join(project, 'tests') },
      ...{ platform: 'node', format: 'esm', target: 'es2022', logLevel: 'error' },
      ...{ outExtension: { '.js': '.cjs' }, sourcemap: 'inline', sourcesContent: false },
      // beside what the service is built into: its threads are found there
      define: { 'import.meta.url': JSON.stringify(pathToFileURL(join(service, 'dist/test.mjs'))) },
      external: [root, project, core, join(root, 'packages/formats'), join(root, 'packages/contract')]
        .flatMap((folder) => named(folder, 'dependencies', 'devDependencies'))
        .filter((name) => !computes.has(name) && !name.startsWith('@velvet-tape/')),
    });
    await Promise.all(
      outputFiles.map(async ({ path, text }) => {
        // pieces can only be shared as modules, and Jest has no import of its own
        const { code } = await transform(text, {
          ...{ sourcefile: path, sourcemap: 'inline', sourceRoot: into, sourcesContent: false, logLevel: 'error' },
          ...{ format: 'cjs', platform: 'node', banner: GLOBALS, supported: { 'dynamic-import': false } },
        });
        await mkdir(dirname(path), { recursive: true });
        await writeFile(path, code);
      }),
    );
  }
}

/** Jest asks once, whatever projects there are. */
module.exports = () =>
  Promise.all([
    ...['packages/core', 'packages/formats', 'packages/contract', 'apps/server'].map((each) =>
      buildTests(join(root, each)),
    ),
    // the threads of the service are the built ones: read from TypeScript each takes seconds of a processor, in every test that starts a service
    promisify(execFile)('node', ['build.mjs'], { cwd: service }),
  ]);
module.exports.builtIn = builtIn;
