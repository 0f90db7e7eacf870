import { bumpEdits } from './bump';
import { drawBoxEdits } from './draw-box';
import { drawPathEdits } from './draw-path';
import { gapsEdits } from './gaps';
import { heightsEdits } from './heights';
import { jobEdits } from './job';
import { LATER_EDITS } from './later';
import { moveCornerEdits } from './move-corner';
import { moveWallEdits } from './move-wall';
import { openingTypesEdits } from './opening-types';
import { openingsEdits } from './openings';
import { readingsEdits } from './readings';
import { removeWallEdits } from './remove-wall';
import { roomsEdits } from './rooms';
import { solidsEdits } from './solids';
import { takeWallsEdits } from './take-walls';
import { thicknessEdits } from './thickness';
import { transformRoomsEdits } from './transform-rooms';
import { underlaysEdits } from './underlays';
import type { Edit } from './edit';

/** Everything a person can do to a plan. A new edit: its intent, what it does and its name in a file of its own, and a line here, or in `later`. */
export const EDITS = {
  ...bumpEdits,
  ...drawBoxEdits,
  ...drawPathEdits,
  ...gapsEdits,
  ...heightsEdits,
  ...jobEdits,
  ...moveCornerEdits,
  ...moveWallEdits,
  ...openingTypesEdits,
  ...openingsEdits,
  ...readingsEdits,
  ...removeWallEdits,
  ...roomsEdits,
  ...solidsEdits,
  ...takeWallsEdits,
  ...thicknessEdits,
  ...transformRoomsEdits,
  ...underlaysEdits,
};

type AllEdits = typeof EDITS & typeof LATER_EDITS;
type Intents = { [K in keyof AllEdits]: AllEdits[K] extends Edit<infer I> ? I : never };
/** What a person wants done to a plan. */
export type Intent = Intents[keyof Intents];

// each edit is filed under the kind of its intent
type Misfiled = { [K in keyof Intents]: Intents[K]['kind'] extends K ? never : K }[keyof Intents];
true satisfies [Misfiled] extends [never] ? true : false;

/** The edit an intent asks for; nothing where it is one that comes later, and is not there yet. */
export const editOf = <I extends Intent>({ kind }: I): Edit<I> | undefined =>
  (Object.hasOwn(EDITS, kind)
    ? EDITS[kind as keyof typeof EDITS]
    : LATER_EDITS[kind as keyof typeof LATER_EDITS]) as unknown as Edit<I> | undefined;

/** What an edit is called where it can be undone. */
export function editName(intent: Intent): string {
  const name = editOf(intent)?.name ?? 'change';
  return typeof name === 'string' ? name : name(intent);
}
