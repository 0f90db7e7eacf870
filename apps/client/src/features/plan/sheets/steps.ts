/** Under way: how many pages, or parts, of how many are done. */
export interface Making {
  readonly done: number;
  readonly of: number;
}

/**
 * Tells how far something has come, till it is over: a step comes from a worker by a way of its own, and may come after the file. What is told then would say for ever
 * that it is under way.
 */
export function stepsOf(of: number, tell: (making: Making | null) => void): { step(done: number): void; end(): void } {
  let over = false;
  const step = (done: number) => {
    if (!over) tell({ done, of });
  };
  step(0);
  return {
    step,
    end: () => {
      over = true;
      tell(null);
    },
  };
}
