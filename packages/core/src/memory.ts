/** Worked out once for each object, when it is first asked for, and gone with it. Only for what never changes. */
export function onceFor<K extends object, V>(work: (of: K) => V): (of: K) => V {
  const known = new WeakMap<K, { readonly value: V }>();
  return (of) => {
    let entry = known.get(of);
    if (!entry) known.set(of, (entry = { value: work(of) }));
    return entry.value;
  };
}

/**
 * What was last made for each object, given again as long as what else it was made from (`from`) is the very same: so that what did not change keeps its identity,
 * and who compares by identity does nothing.
 */
export function lastFor<K extends object, V>(): (of: K, from: readonly unknown[], make: () => V) => V {
  const known = new WeakMap<K, { readonly from: readonly unknown[]; readonly value: V }>();
  return (of, from, make) => {
    const last = known.get(of);
    if (last && last.from.length === from.length && last.from.every((part, i) => Object.is(part, from[i])))
      return last.value;
    const value = make();
    known.set(of, { from, value });
    return value;
  };
}
