import { gapRun, gapsByRun, judgedGaps, markInWords, readOn, wallRead } from '../openings';
import type { GapReading, HeightReading, Place, Reading, Value } from '../plan/plan';
import { placeInWords } from '../trueup';
import { namedDiagonal } from './corner-letters';
import type { DerivedFloor } from './derive-floor';
import { roomOfReading } from './readings';

/** One line of the table of readings. */
export interface ReadingLine extends Value {
  readonly id: string;
  /** The name of the room it was taken in; empty outside of rooms. */
  readonly room: string;
  readonly what: string;
  /** Degrees, not mm. */
  readonly angle: boolean;
  /** Fitted less read, mm or degrees. */
  readonly off: number;
  /** How well it is controlled by others, 0 to 1. */
  readonly control: number;
  readonly held: boolean;
  readonly note: string;
  readonly history: readonly Value[];
  readonly of: { readonly reading: Reading } | { readonly height: HeightReading } | { readonly gap: GapReading };
}

/** “diagonal A to C”: a place in words, with the letters of its corners where it is a diagonal. */
export function placeOnFloorInWords(floor: DerivedFloor, place: Place): string {
  const named = namedDiagonal(floor, place);
  return named ? `${placeInWords(place)} ${named.words}` : placeInWords(place);
}

/** Everything read on a floor, with how far the plan differs from it and how well it is controlled. */
export function readingLines(floor: DerivedFloor): ReadingLine[] {
  return [
    ...floor.readings.map((reading): ReadingLine => ({
      ...reading,
      room: roomOfReading(floor, reading)?.room.name ?? '',
      what: placeOnFloorInWords(floor, reading),
      angle: reading.kind === 'angle',
      off: floor.survey.residual(reading),
      control: floor.survey.control(reading),
      of: { reading },
    })),
    ...floor.heights.map((height) => heightLine(floor, height)),
    ...gapLines(floor),
  ];
}

/** A height: on a slope the others say what it should be, else it stands alone. */
function heightLine(floor: DerivedFloor, height: HeightReading): ReadingLine {
  const on = floor.slopes.flatMap(({ heights }) => heights).find((each) => each.height.id === height.id);
  return {
    ...height,
    room: floor.plan.rooms[height.room]?.name ?? '',
    what: height.slope !== null ? 'height on the slope' : height.at ? 'height under the slope' : 'ceiling height',
    angle: false,
    off: on?.residual ?? 0,
    control: on?.control ?? 0,
    held: false,
    of: { height },
  };
}

/** What was read along walls: it is adjusted along each of them. */
function gapLines(floor: DerivedFloor): ReadingLine[] {
  return gapsByRun(floor.gaps).flatMap((gaps) => {
    const { from, to } = gaps[0]!;
    const run = gapRun(floor.network, from, to, floor.openings);
    const stands = run?.stands ?? floor.openings.map((opening) => ({ opening }));
    const judged = run ? judgedGaps(run, readOn(run, gaps), wallRead(floor.readings, { from, to })) : [];
    return gaps.map((gap): ReadingLine => {
      const { off, control } = judged.find(({ reading }) => reading === gap) ?? { off: 0, control: 0 };
      return {
        ...gap,
        room: roomOfReading(floor, gap)?.room.name ?? '',
        what: `along wall, ${markInWords(gap.a, stands)} to ${markInWords(gap.b, stands)}`,
        angle: false,
        off,
        control,
        held: false,
        of: { gap },
      };
    });
  });
}
