/** Fetches something once, whoever asks; what could not come is fetched again when it is asked for next. */
export function fetchedOnce<T>(fetching: () => Promise<T>): () => Promise<T> {
  let coming: Promise<T> | null = null;
  return () =>
    (coming ??= fetching().catch((error: unknown) => {
      coming = null;
      throw error;
    }));
}
