import type { Draft } from '../plan/draft';
import type { Id } from '../plan/plan';

/** One thing a person can do to a plan: what it is called where it can be undone, and how it is done. `run` gives back what it made, if it made something. */
export interface Edit<I extends { readonly kind: string }> {
  readonly name: string | ((intent: I) => string);
  readonly run: (draft: Draft, intent: I) => Id | void;
}

export const edit = <I extends { readonly kind: string }>(name: Edit<I>['name'], run: Edit<I>['run']): Edit<I> => ({
  name,
  run,
});
