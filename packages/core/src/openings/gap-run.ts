import { alongOf, distance, pointAt } from '../geometry';
import { type GapReading, type Id, type WallMark, type Opening, openingsOfGap } from '../plan/plan';
import { type HalfWall, type Network, chainBetween, faceEnd, faceStart } from '../walls';
import { openingSpan } from './fit';

/** A straight run of walls between two corners with the openings in it, as someone in the room sees it: from left to right. mm */
export interface GapRun {
  readonly from: Id;
  readonly to: Id;
  readonly halves: readonly HalfWall[];
  /** Inside, from corner to corner. */
  readonly length: number;
  readonly stands: readonly OpeningOnRun[];
}

export interface OpeningOnRun {
  readonly opening: Opening;
  readonly half: HalfWall;
  readonly near: number;
  readonly far: number;
}

/** The run between two corners with its openings; null where no straight wall leads from one to the other. */
export function gapRun(network: Network, from: Id, to: Id, openings: readonly Opening[]): GapRun | null {
  const halves = chainBetween(network, from, to);
  if (!halves || halves[0]!.wall.kind === 'chalk') return null;
  const start = faceStart(halves[0]!);
  const end = faceEnd(halves.at(-1)!);
  const course = { a: start, b: end, bulge: 0, arc: null, length: distance(start, end) };
  const stands = halves.flatMap((half) =>
    openings
      .filter(({ wall }) => wall === half.wall.id)
      .map((opening): OpeningOnRun => {
        const span = openingSpan(network, opening);
        const forward = network.half(opening.wall, true);
        const ends = [span.from, span.to].map((mm) => alongOf(course, pointAt(forward.course, mm, 0)));
        return { opening, half, near: Math.min(...ends), far: Math.max(...ends) };
      }),
  );
  stands.sort((a, b) => a.near - b.near);
  return { from, to, halves, length: course.length, stands };
}

/** Those of the readings that have their marks on the run. While a wall is bent, or an opening is elsewhere, a reading waits. */
export const readOn = (run: GapRun, gaps: readonly GapReading[]): GapReading[] =>
  gaps.filter((gap) => openingsOfGap(gap).every((id) => run.stands.some(({ opening }) => opening.id === id)));

/** Readings along one run, by the corners of the run. */
export function gapsByRun(gaps: Iterable<GapReading>): GapReading[][] {
  const runs = new Map<string, GapReading[]>();
  for (const gap of gaps) {
    const key = `${gap.from}>${gap.to}`;
    runs.set(key, [...(runs.get(key) ?? []), gap]);
  }
  return [...runs.values()];
}

/** The way along a wall: running from its left or its right corner, as a tape is hooked on it, or gap by gap. */
export type GapWay = 'left' | 'right' | 'gaps';

/** What is read one after the other along a wall with these openings, in the order a tape meets them. */
export function gapSequence(openings: readonly Id[], way: GapWay): { readonly a: WallMark; readonly b: WallMark }[] {
  const jambs = openings.flatMap((opening): WallMark[] => [
    { opening, jamb: 'near' },
    { opening, jamb: 'far' },
  ]);
  const whole = { a: 'from', b: 'to' } as const;
  if (way === 'left') return [...jambs.map((b) => ({ a: 'from' as const, b })), whole];
  if (way === 'right') return [...[...jambs].reverse().map((a) => ({ a, b: 'to' as const })), whole];
  const marks: WallMark[] = ['from', ...jambs, 'to'];
  return marks.slice(1).map((b, i) => ({ a: marks[i]!, b }));
}

/** What a mark is called: “the left corner”, “the far jamb of D1”. */
export function markInWords(mark: WallMark, stands: readonly Pick<OpeningOnRun, 'opening'>[]): string {
  if (mark === 'from') return 'left corner';
  if (mark === 'to') return 'right corner';
  const opening = stands.find((each) => each.opening.id === mark.opening)?.opening;
  return `${mark.jamb === 'near' ? 'left' : 'right'} jamb of ${opening ? opening.label : 'what is gone'}`;
}
