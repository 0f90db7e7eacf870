import { type Plan, changeBetween, patchOf, problemsOf } from '@velvet-tape/core';
import request from 'supertest';
import { randomFrom } from '../src/demo/hand-drawing';
import { type TestService, planWithRoom, startService, withRoom } from '../tests/service';

interface At {
  readonly version: number;
  readonly mark: string;
}

/** Rounds of two and of five writers of one job, none of whom waits for another: what each of them drew is there in the end, and nobody had to come twice. */
export async function writers(count: number, seed: number): Promise<object> {
  const service = await startService('trial_writers', { mostRequests: 1e9 });
  const table: Record<string, object> = {};
  for (const many of [2, 5]) {
    let [lost, again, unsound, writes] = [0, 0, 0, 0];
    const longest: number[] = [];
    for (let i = 0; i < count; i += 1) {
      const round = await one(service, `w-${many}-${i}`, many, seed + i);
      lost += round.lost;
      again += round.again;
      unsound += round.unsound ? 1 : 0;
      writes += round.writes;
      longest.push(round.longest);
    }
    longest.sort((a, b) => a - b);
    const p95 = Math.round(longest[Math.floor(longest.length * 0.95)]!);
    table[`${many} writers`] = {
      rounds: count,
      writes,
      lost,
      'had to come again': again,
      unsound,
      'longest wait, p95 ms': p95,
    };
  }
  await service.close();
  return table;
}

async function one(service: TestService, id: string, many: number, seed: number) {
  const random = randomFrom(seed);
  const plan = planWithRoom(id);
  const first = (await request(service.app).put(`/api/jobs/${id}/plan`).send({ version: 0, plan })).body as At;
  let [again, writes, longest] = [0, 0, 0];
  await Promise.all(
    Array.from({ length: many }, async (_, writer) => {
      let [mine, from]: [Plan, At] = [plan, first];
      for (let i = 0; i < 5; i += 1) {
        const next = withRoom(mine, writer * 7 + i, `w${writer}-${i}`);
        await new Promise((wait) => setTimeout(wait, random() * 30));
        const start = performance.now();
        const answer = await request(service.app)
          .patch(`/api/jobs/${id}/plan`)
          .query({ version: from.version, mark: from.mark })
          .send(patchOf(changeBetween(mine, next)));
        longest = Math.max(longest, performance.now() - start);
        if (answer.status !== 200) {
          again += 1;
          continue;
        }
        writes += 1;
        if (answer.body.merged === null) [mine, from] = [next, answer.body as At];
        else {
          const { body } = await request(service.app).get(`/api/jobs/${id}/plan`);
          [mine, from] = [body.plan as Plan, body as At];
        }
      }
    }),
  );
  const all = (await request(service.app).get(`/api/jobs/${id}/plan`)).body.plan as Plan;
  return {
    lost: 1 + many * 5 - Object.keys(all.rooms).length,
    again,
    writes,
    longest,
    unsound: problemsOf(all).length > 0,
  };
}
