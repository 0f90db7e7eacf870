import type { Collection, Id, Plan } from '../plan/plan';

/** The plan over pictures that have other ids. */
export function withPicturesNamed(plan: Plan, other: (picture: Id) => Id): Plan {
  const named = <T extends { readonly picture: Id }>(it: T): T => ({ ...it, picture: other(it.picture) });
  const each = <T>(all: Collection<T>, change: (it: T) => T): Collection<T> =>
    Object.fromEntries(Object.entries(all).map(([id, it]) => [id, change(it)]));
  return {
    ...plan,
    job: { ...plan.job, logo: plan.job.logo && named(plan.job.logo) },
    underlays: each(plan.underlays, named),
    frames: each(plan.frames, (frame) =>
      frame.shows.kind === 'picture' ? { ...frame, shows: named(frame.shows) } : frame,
    ),
    taken: each(plan.taken, named),
    finishes: each(plan.finishes, (finish) =>
      finish.look.picture ? { ...finish, look: { ...finish.look, picture: other(finish.look.picture) } } : finish,
    ),
  };
}
