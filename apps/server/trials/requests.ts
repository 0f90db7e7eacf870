import { Agent, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { oddRequests } from '../tests/odd-requests';
import { listening, planWithRoom, startService } from '../tests/service';

/** An answer that takes longer than this is none, ms. */
const PATIENCE = 20_000;

/** Requests of many kinds, ten at a time: every one gets an answer, and none is a 5xx. */
export async function odd(count: number, seed: number): Promise<object> {
  const service = await startService('trial_requests', { mostRequests: 1e9 });
  const server = await listening(service.app);
  const { port } = server.address() as AddressInfo;
  const agent = new Agent({ keepAlive: false });
  const ask = (path: string, method: string, headers: Record<string, string>, body?: Buffer) =>
    new Promise<number>((resolve, reject) => {
      const sent = request({ host: '127.0.0.1', port, path, method, headers, agent }, (response) => {
        response.resume().on('end', () => resolve(response.statusCode!));
      });
      sent.setTimeout(PATIENCE, () => sent.destroy(new Error('no answer')));
      sent.on('error', reject).end(body);
    });
  const plan = JSON.stringify({ version: 0, plan: planWithRoom() });
  await ask('/api/jobs/fuzzed/plan', 'PUT', { 'Content-Type': 'application/json' }, Buffer.from(plan));
  const by: Record<string, number> = {};
  const bad: string[] = [];
  const requests = oddRequests(count, seed);
  await Promise.all(
    Array.from({ length: 10 }, async () => {
      for (const { path, method, headers, body } of requests) {
        const status = await ask(path, method, headers, body).catch((error: Error) => error.message);
        by[status] = (by[status] ?? 0) + 1;
        if (typeof status === 'string' || status >= 500)
          bad.push(`${status}: ${method} ${path} ${JSON.stringify(headers)} ${body?.toString('latin1', 0, 300) ?? ''}`);
      }
    }),
  );
  const alive = await ask('/healthz', 'GET', {});
  server.close();
  await service.close();
  return { answers: by, '5xx or none': bad.length, first: bad.slice(0, 3), alive };
}
