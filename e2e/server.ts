import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { type BrowserContext, type BrowserContextOptions, test as base } from '@playwright/test';

const ADMIN = () => process.env['TEST_DATABASE_URL']!;
const psql = (url: string, ...statements: string[]) =>
  execFileSync('psql', [url, '-q', ...statements.flatMap((each) => ['-c', each])], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, PGOPTIONS: '--client-min-messages=warning' },
  });

/** What every journey begins with: the tables, and the demo in them. */
const TEMPLATE = 'velvet_template';

/** Makes the database that those of the journeys are copies of: migrating and seeding takes seconds, a copy a tenth of one. */
export async function makeTemplate(): Promise<void> {
  psql(ADMIN(), `DROP DATABASE IF EXISTS ${TEMPLATE} WITH (FORCE)`, `CREATE DATABASE ${TEMPLATE}`);
  const server = new Server(TEMPLATE, await freePort());
  await server.resume();
  await server.stop();
}

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as { port: number };
  server.close();
  await once(server, 'close');
  return port;
}

/** The real server over a database of its own, serving the built client; it can be stopped and started like a real one. */
export class Server {
  private child: ChildProcess | null = null;
  private readonly url_: string;

  constructor(
    private readonly database: string,
    readonly port: number,
  ) {
    this.url_ = ADMIN().replace(/\/[^/]*$/, `/${database}`);
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  /** As new, whatever a journey did to it. */
  async renew(): Promise<void> {
    psql(
      ADMIN(),
      `DROP DATABASE IF EXISTS ${this.database} WITH (FORCE)`,
      `CREATE DATABASE ${this.database} TEMPLATE ${TEMPLATE}`,
    );
    await this.resume();
  }

  /** Starts it where it does not run. */
  async resume(): Promise<void> {
    if (this.child && this.child.exitCode === null) return;
    this.child = spawn('node', ['dist/main.mjs'], {
      cwd: '../apps/server',
      env: {
        ...process.env,
        DATABASE_URL: this.url_,
        PORT: String(this.port),
        CLIENT_DIST: '../client/dist',
        LOG_LEVEL: 'error',
        MOST_REQUESTS: '100000',
        // it ends when this process does, however that comes about
        ENDS_WITH: 'stdin',
      },
      stdio: ['pipe', 'inherit', 'inherit'],
    });
    for (let tries = 0; tries < 600; tries += 1) {
      const up = await fetch(`${this.url}/healthz`).then(
        (answer) => answer.ok,
        () => false,
      );
      if (up) return;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    throw new Error('The server did not start.');
  }

  /** Does something to its database that no person could. */
  sql(...statements: string[]): void {
    psql(this.url_, ...statements);
  }

  async stop(): Promise<void> {
    if (!this.child || this.child.exitCode !== null) return;
    this.child.kill('SIGTERM');
    await once(this.child, 'exit');
  }
}

/** What a context of the browser is told when it is made: its screen, its language, whether the application may stay on the device. */
type Told = Pick<BrowserContextOptions, 'baseURL' | 'hasTouch' | 'isMobile' | 'locale' | 'serviceWorkers' | 'viewport'>;

/** Nothing of what a journey left is there for the next one; only scripts stay compiled. */
async function forget(context: BrowserContext, origin: string): Promise<void> {
  await Promise.all(context.pages().map((page) => page.close()));
  await context.setOffline(false);
  await context.clearCookies();
  await context.clearPermissions();
  const page = await context.newPage();
  const storageTypes = 'cookies,file_systems,indexeddb,local_storage,service_workers,cache_storage';
  await (await context.newCDPSession(page)).send('Storage.clearDataForOrigin', { origin, storageTypes });
  await page.close();
}

interface OfJourney {
  server: Server;
  /** In a browser that has never seen the application, as for what comes over the wire. */
  fresh: boolean;
}
interface OfWorker {
  service: Server;
  contexts: (told: Told) => Promise<BrowserContext>;
}

/**
 * A test with a server: `server` is up and as new, and `page` opens on it by relative addresses. One server for all journeys of a worker, and one context of the
 * browser for all that are told the same: to compile the application anew is a third of an opening.
 */
export const test = base.extend<OfJourney, OfWorker>({
  fresh: [false, { option: true }],
  service: [
    async ({}, use, info) => {
      const service = new Server(`velvet_journeys_${info.parallelIndex}`, await freePort());
      await use(service);
      await service.stop();
    },
    { scope: 'worker' },
  ],
  contexts: [
    async ({ browser }, use) => {
      const made = new Map<string, BrowserContext>();
      await use(async (told) => {
        const key = JSON.stringify(told);
        const context = made.get(key) ?? (await browser.newContext(told));
        made.set(key, context);
        return context;
      });
      await Promise.all([...made.values()].map((context) => context.close()));
    },
    { scope: 'worker' },
  ],
  server: async ({ service }, use) => {
    await service.renew();
    await use(service);
  },
  baseURL: async ({ server }, use) => use(server.url),
  context: async ({ browser, contexts, server, fresh, hasTouch, isMobile, locale, serviceWorkers, viewport }, use) => {
    const told = { baseURL: server.url, hasTouch, isMobile, locale, serviceWorkers, viewport };
    const context = fresh ? await browser.newContext(told) : await contexts(told);
    await use(context);
    await (fresh ? context.close() : forget(context, server.url));
  },
});

export { expect } from '@playwright/test';
