import { execFileSync } from 'node:child_process';
import { makeTemplate } from './server';

const bash = (script: string): string =>
  execFileSync('bash', ['-c', `set -euo pipefail; . bin/lib.sh; ${script}`], {
    cwd: '..',
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });

/** Uses the cluster bin/test has started; run on its own it starts one and stops it again. Makes the database that journeys begin with. */
export default async function startCluster(): Promise<(() => void) | void> {
  const stop = process.env['TEST_DATABASE_URL'] ? undefined : ownCluster();
  bash('ensure_service');
  await makeTemplate();
  return stop;
}

function ownCluster(): () => void {
  const folder = bash(
    'd=$(mktemp -d /tmp/velvet-tape-e2e.XXXXXX); [ "$(id -u)" = 0 ] && chown postgres "$d"; echo "$d"',
  ).trim();
  const port = bash('free_port').trim();
  bash(`fast_and_loose=true start_cluster ${folder} ${port} >&2`);
  process.env['TEST_DATABASE_URL'] = bash(`cluster_url ${folder} ${port} postgres`).trim();
  return () => {
    bash(`stop_cluster ${folder}; rm -rf ${folder}`);
  };
}
