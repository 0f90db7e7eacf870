import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { test as base } from '@playwright/test';

/** The real server over a database of its own, serving the built client; it can be stopped and started like a real one. */
export class Server {
  private child: ChildProcess | null = null;

  private constructor(
    private readonly database: string,
    readonly port: number,
  ) {}

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  static async start(name: string, port: number): Promise<Server> {
    const admin = process.env['TEST_DATABASE_URL']!;
    execFileSync(
      'psql',
      [admin, '-q', '-c', `DROP DATABASE IF EXISTS ${name} WITH (FORCE)`, '-c', `CREATE DATABASE ${name}`],
      { stdio: ['ignore', 'ignore', 'inherit'] },
    );
    const server = new Server(admin.replace(/\/[^/]*$/, `/${name}`), port);
    await server.resume();
    return server;
  }

  async resume(): Promise<void> {
    this.child = spawn('node', ['--import', 'tsx', 'src/main.ts'], {
      cwd: '../apps/server',
      env: {
        ...process.env,
        DATABASE_URL: this.database,
        PORT: String(this.port),
        HOST: '127.0.0.1',
        CLIENT_DIST: '../client/dist',
        LOG_LEVEL: 'warn',
      },
      stdio: ['ignore', 'inherit', 'inherit'],
    });
    for (let tries = 0; tries < 200; tries += 1) {
      const up = await fetch(`${this.url}/healthz`).then(
        (answer) => answer.ok,
        () => false,
      );
      if (up) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('The server did not start.');
  }

  /** Does something to its database that no person could. */
  sql(statement: string): void {
    execFileSync('psql', [this.database, '-q', '-c', statement], { stdio: ['ignore', 'ignore', 'inherit'] });
  }

  async stop(): Promise<void> {
    if (!this.child || this.child.exitCode !== null) return;
    this.child.kill('SIGTERM');
    await once(this.child, 'exit');
  }
}

/** A test with a server: `server` is up, and `page` opens on it by relative addresses. */
export const test = base.extend<{ server: Server }>({
  server: async ({}, use, info) => {
    const name = `e2e_${info.title.replace(/\W+/g, '_').toLowerCase().slice(0, 40)}`;
    const server = await Server.start(name, 4300 + info.workerIndex);
    await use(server);
    await server.stop();
  },
  baseURL: async ({ server }, use) => use(server.url),
});

export { expect } from '@playwright/test';
