import { applyEdit, newPlan } from '@velvet-tape/core';
import type { Page } from '@playwright/test';
import { expect, test } from '../server';
import { middleOf } from '../finger';

/** 10 × 10 rooms, each drawn beside the last as a person would: about 300 walls. */
function largeFloor() {
  let plan = newPlan({ name: 'Large floor' });
  for (let i = 0; i < 100; i += 1) {
    const row = Math.floor(i / 10);
    // every other row is set off by half a room, so that walls meet in tees
    const [x, y] = [(i % 10) * 3100 + (row % 2) * 1550, row * 2600];
    const b = { x: x + 3000, y: y + 2500 };
    const result = applyEdit(plan, { kind: 'drawBox', floor: 'ground', a: { x, y }, b }, `r${i}`);
    if (!result.ok) throw new Error(result.reason);
    plan = result.plan;
  }
  return plan;
}

interface Times {
  script: number[];
  frames: number[];
}

/**
 * Notes how long the scripts of every pointer move take, and the time from frame to frame. A move comes at the beginning
 * of a frame: what the store and the components do is done when the frame's callbacks begin, before layout and paint.
 */
const watch = (page: Page) =>
  page.evaluate(() => {
    const times: Times = { script: [], frames: [] };
    const channel = new MessageChannel();
    let begun: number | null = null;
    let at = { x: NaN, y: NaN };
    const done = () => {
      if (begun !== null) times.script.push(performance.now() - begun);
      begun = null;
    };
    // a move that comes between frames: the message is the next task
    channel.port1.onmessage = done;
    globalThis.addEventListener(
      'pointermove',
      ({ clientX, clientY }) => {
        // the browser sends a move of its own, without moving, when what is under the pointer changed
        if (clientX === at.x && clientY === at.y) return;
        at = { x: clientX, y: clientY };
        begun = performance.now();
        channel.port2.postMessage(0);
      },
      true,
    );
    let last = 0;
    const frame = (now: number) => {
      done();
      if (last > 0) times.frames.push(now - last);
      last = now;
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
    Object.assign(globalThis, { times });
  });

const taken = (page: Page): Promise<Times> =>
  page.evaluate(() => {
    const { times } = globalThis as unknown as { times: Times };
    const copy = { script: [...times.script], frames: [...times.frames] };
    times.script.length = 0;
    times.frames.length = 0;
    return copy;
  });

const sorted = (list: number[]) => [...list].sort((a, b) => a - b);
const at = (list: number[], share: number) =>
  sorted(list)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? NaN;
const say = (ms: number) => ms.toFixed(1);

async function dragged(page: Page, how: string): Promise<void> {
  const [x, y] = await middleOf(page.getByTestId('face-grip'));
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 10; i += 1) await page.mouse.move(x, y + i);
  await taken(page);
  for (let i = 0; i < 60; i += 1) {
    await page.mouse.move(x, y + 10 + 8 * Math.sin(i / 5));
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(done)));
  }
  const { script, frames } = await taken(page);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  console.log(
    `${how}: script median ${say(at(script, 0.5))} ms, 95 % ${say(at(script, 0.95))} ms; frame to frame median ${say(at(frames, 0.5))} ms, longest ${say(Math.max(...frames))} ms, over 32 ms: ${frames.filter((ms) => ms > 32).length} of ${frames.length}`,
  );
}

/** The bottom wall of a room in the middle. */
async function chooseInnerWall(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: /^Unnamed room/ })
    .nth(44)
    .click();
  await page.getByLabel('Walls of the room').getByRole('button').nth(2).click();
}

test('dragging, typing and opening on 100 rooms', async ({ page, server }) => {
  const plan = largeFloor();
  const put = await page.request.put(`${server.url}/api/jobs/large/plan`, { data: { version: 0, plan } });
  expect(await put.text()).toContain('version');
  console.log(`${Object.keys(plan.rooms).length} rooms, ${Object.keys(plan.walls).length} walls`);

  // opening: from the tap on the job to the plan on the screen; the second time it is on the device
  await page.goto('/job/large');
  await expect(page.getByTestId(/^floor/)).toHaveCount(100);
  for (let i = 0; i < 3; i += 1) {
    await page.getByRole('button', { name: 'Jobs' }).click();
    const link = page.getByRole('link', { name: /^Large floor/ });
    await link.waitFor();
    const opened = await link.evaluate(
      (element) =>
        new Promise<number>((done) => {
          const start = performance.now();
          (element as HTMLElement).click();
          const look = () => {
            if (document.querySelectorAll('[data-testid^="floor "]').length === 100)
              requestAnimationFrame(() => done(performance.now() - start));
            else requestAnimationFrame(look);
          };
          look();
        }),
    );
    console.log(`opening: ${say(opened)} ms`);
  }

  await watch(page);
  await chooseInnerWall(page);
  await dragged(page, 'inner wall');

  // typing: from the key to the frame that shows the figure and its ghost
  const typed = await page.evaluate(async () => {
    const list: number[] = [];
    for (const key of ['3', '.', '1', '4', '2']) {
      const start = performance.now();
      globalThis.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      await new Promise((done) => requestAnimationFrame(done));
      list.push(performance.now() - start);
    }
    return list;
  });
  console.log(`a typed figure shows within ${typed.map(say).join(', ')} ms`);
  await chooseInnerWall(page);

  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await dragged(page, 'inner wall, CPU throttled 4 ×');
});
