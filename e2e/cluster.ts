import { execFileSync } from 'node:child_process';

const bash = (script: string): string =>
  execFileSync('bash', ['-c', `set -euo pipefail; . bin/lib.sh; ${script}`], {
    cwd: '..',
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });

/** Uses the cluster bin/test has started; run on its own it starts one and stops it again. */
export default function startCluster(): (() => void) | void {
  if (process.env['TEST_DATABASE_URL']) return;
  const folder = bash(
    'd=$(mktemp -d /tmp/velvet-tape-e2e.XXXXXX); [ "$(id -u)" = 0 ] && chown postgres "$d"; echo "$d"',
  ).trim();
  const port = bash('free_port').trim();
  bash(`start_cluster ${folder} ${port} >&2`);
  process.env['TEST_DATABASE_URL'] = bash(`cluster_url ${folder} ${port} postgres`).trim();
  return () => {
    bash(`stop_cluster ${folder}; rm -rf ${folder}`);
  };
}
