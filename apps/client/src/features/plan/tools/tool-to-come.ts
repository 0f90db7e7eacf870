import type { Bench, Tool } from './tool';

/** A tool, or what it does, comes over the network: null from `now` until it is there. `comes` waits for it, and is refused where it can’t be fetched. */
export interface Coming {
  readonly now: () => Tool | null;
  readonly comes: () => Promise<Tool>;
}

/** A tool that comes later: what a finger does before it is there is done when it is, in its order; where it can’t come, `lost` is said. */
export function toolToCome(bench: Bench, { now, comes }: Coming, lost: string): Tool {
  let waiting: ((tool: Tool) => void)[] = [];
  const flush = (tool: Tool) => {
    const all = waiting;
    waiting = [];
    for (const each of all) each(tool);
  };
  const does = (what: (tool: Tool) => void) => {
    waiting.push(what);
    const tool = now();
    if (tool) flush(tool);
    else if (waiting.length === 1)
      comes().then(flush, () => {
        waiting = [];
        bench.refuse(lost);
      });
  };
  return {
    get busy() {
      return now()?.busy ?? false;
    },
    down: (pointer) => does((tool) => tool.down(pointer)),
    move: (pointer) => does((tool) => tool.move(pointer)),
    up: (pointer) => does((tool) => tool.up(pointer)),
    hover: (pointer) => now()?.hover?.(pointer),
    cancel: () => does((tool) => tool.cancel()),
  };
}
