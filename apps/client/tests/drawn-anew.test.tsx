import { type Plan, deriveFloor } from '@velvet-tape/core';
import { type ComponentType, Profiler, act } from 'react';
import { createRoot } from 'react-dom/client';
import { PaperProvider } from 'react-native-paper';
import { Provider } from 'react-redux';
import { Foot } from '../src/features/plan/foot/Foot';
import { NumberPad } from '../src/features/plan/foot/NumberPad';
import { Header } from '../src/features/plan/Header';
import { Naming } from '../src/features/plan/NamePrompt';
import { OpenEnds } from '../src/features/plan/OpenEnds';
import { PartsBar } from '../src/features/plan/parts/PartsBar';
import { PlanCanvas } from '../src/features/plan/PlanCanvas';
import { planActions } from '../src/features/plan/plan-slice';
import { viewActions } from '../src/features/plan/view-slice';
import { makeStore } from '../src/store/store';
import { HouseIcon } from '../src/ui/HouseIcon';
import { lightTheme } from '../src/ui/theme';
import { shed } from './workbench';

jest.mock('expo-router', () => ({ useRouter: () => ({}) }));

const PARTS: Record<string, ComponentType> = {
  header: () => <Header wide={false} />,
  parts: () => <PartsBar wide={false} />,
  sheet: PlanCanvas,
  foot: Foot,
  pad: NumberPad,
  ends: OpenEnds,
  naming: Naming,
};

let stop = async () => {};
let said: string[] = [];

/** The parts of the screen over one store, each asked how often it was drawn while something was done. */
async function screen(plan: Plan = shed()) {
  const store = makeStore();
  store.dispatch(planActions.opened(plan));
  store.dispatch(viewActions.resized({ width: 390, height: 400, box: null, hold: false }));
  const drawn = new Map<string, number>();
  // what is loaded when it is wanted can't be had here: the screen does without
  const root = createRoot(document.createElement('div'), { onCaughtError: () => undefined });
  stop = async () => act(async () => root.unmount());
  await act(async () =>
    root.render(
      <PaperProvider theme={lightTheme} settings={{ icon: HouseIcon }}>
        <Provider store={store} stabilityCheck="always">
          {Object.entries(PARTS).map(([name, Of]) => (
            <Profiler key={name} id={name} onRender={(id) => drawn.set(id, (drawn.get(id) ?? 0) + 1)}>
              <Of />
            </Profiler>
          ))}
        </Provider>
      </PaperProvider>,
    ),
  );
  const during = async (work: () => void): Promise<string[]> => {
    drawn.clear();
    await act(async () => work());
    return [...drawn.keys()].toSorted();
  };
  return { store, during };
}

beforeEach(() => {
  Object.assign(globalThis, {
    IS_REACT_ACT_ENVIRONMENT: true,
    ResizeObserver: class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  });
  said = [];
  jest.spyOn(console, 'warn').mockImplementation((words: unknown) => void said.push(String(words)));
});

// whoever looks at the store is given the same for the same state: else it is drawn anew at every change of anything
afterEach(async () => {
  await stop();
  jest.restoreAllMocks();
  expect(said.filter((words) => /returned a different result/.test(words))).toEqual([]);
});

/** The wall that is taped: the first of the only room. */
const taping = (plan: Plan) =>
  planActions.selected({ kind: 'wall', face: deriveFloor(plan, 'ground').rooms[0]!.faces[0]!.key });

test('at a key of the pad no key is drawn anew, nor anything else that does not say what is typed', async () => {
  const plan = shed();
  const { store, during } = await screen(plan);
  await during(() => store.dispatch(taping(plan)));
  // with the first sign the last reading goes from the pad
  await during(() => store.dispatch(planActions.typed('4')));
  for (const text of ['4.', '4.2', '4.20'])
    expect(await during(() => store.dispatch(planActions.typed(text)))).toEqual(['foot', 'sheet']);
});

test('while the sheet is moved only the sheet is drawn, and under a finger nothing but what is under it', async () => {
  const { store, during } = await screen();
  const steps = [
    viewActions.panned({ x: 4, y: 3 }),
    viewActions.zoomed({ factor: 1.02, px: { x: 100, y: 100 } }),
    viewActions.fingerAt({ x: 120, y: 90 }),
    viewActions.fingerAt({ x: 121, y: 92 }),
  ];
  for (const step of steps) expect(await during(() => store.dispatch(step))).toEqual(['sheet']);
});

test('what is dragged is followed by the sheet; job, undo, tools and pad stay as they are', async () => {
  const plan = shed();
  const { store, during } = await screen(plan);
  await during(() => store.dispatch(taping(plan)));
  for (const x of [10, 20, 30]) {
    const preview = { plan: { ...plan, job: { ...plan.job, name: `moved by ${x}` } }, near: null, reason: null };
    const drawn = await during(() => store.dispatch(planActions.previewed(preview)));
    expect(drawn).not.toContain('header');
    expect(drawn).not.toContain('parts');
    expect(drawn).not.toContain('pad');
  }
});

test('how the job stands on the server changes one sign of the header; a room that waits for its name, nothing of it', async () => {
  const plan = shed();
  const { store, during } = await screen(plan);
  expect(await during(() => store.dispatch(planActions.synced({ state: 'saving', trouble: null, why: '' })))).toEqual([
    'header',
  ]);
  const room = Object.keys(plan.rooms)[0]!;
  await during(() => store.dispatch(planActions.naming(room)));
  expect(await during(() => store.dispatch(planActions.synced({ state: 'saved', trouble: null, why: '' })))).toEqual([
    'header',
  ]);
});
