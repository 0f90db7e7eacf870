/** One thing after the other under each key: who came first is served first. */
export class InTurn {
  private readonly last = new Map<string, Promise<unknown>>();

  async run<T>(key: string, work: () => Promise<T>): Promise<T> {
    const turn = (this.last.get(key) ?? Promise.resolve()).then(work, work);
    this.last.set(key, turn);
    try {
      return await turn;
    } finally {
      if (this.last.get(key) === turn) this.last.delete(key);
    }
  }
}
