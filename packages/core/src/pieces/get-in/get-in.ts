import { deriveFloor } from '../../derived';
import type { Plan } from '../../plan/plan';
import { pieceName } from '../catalogue';
import { piecesOn } from '../on-floor';
import { type House, floorsBetween, wayIn } from './carrying';
import { CARRIED, type GetInAnswer, type GetInQuestion, no } from './question';
import { whereItSticks } from './where-it-sticks';
import { inWords } from './words';

/**
 * Will it get in? From a door of the house, or from a room, to its place, as a rigid box, carried level, on edge or on end, through clear widths and heights of doors, round corners, under ceilings, up or down stairs. Never yes when it
 * can't: where it is turned it is kept clear of all it passes over, and what is not level in the end is tipped where there is room for its diagonal. Throws `Stopped` when `progress` says true.
 */
export function getIn(
  plan: Plan,
  question: GetInQuestion,
  progress: (share: number) => boolean = () => false,
): GetInAnswer {
  const asked = plan.pieces[question.piece];
  const door = plan.openings[question.from];
  const entrance = door ? plan.walls[door.wall]!.floor : plan.rooms[question.from]?.floor;
  if (!asked || entrance === undefined) return no('The piece, or where it comes from, is no longer there.');
  const target = deriveFloor(plan, asked.floor);
  const piece = piecesOn(plan.pieces, target).find((on) => on.piece.id === asked.id);
  if (!piece) return no('The piece stands nowhere.');
  const floors = floorsBetween(plan, entrance, asked.floor);
  if (!floors) return no('No stairs lead from there to its floor.');
  const house: House = { plan, piece, question, floors };
  const name = pieceName(asked);
  for (const [i, how] of CARRIED.entries()) {
    const legs = wayIn(house, { size: question.size, how, rough: false }, (share) => progress((i + share) / 6));
    if (legs) return { gets: true, legs, words: inWords(house, name, legs) };
  }
  return whereItSticks(house, name, (share) => progress(0.5 + share / 2));
}
