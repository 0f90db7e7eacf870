import { deriveFloor } from '../../derived';
import { distance } from '../../geometry';
import { type Pattern, MOST_COPIES, countOf, spotsOf } from '../../pieces/arrange';
import { isKnownForm, pieceKindOf, pieceName } from '../../pieces/catalogue';
import { spaceAt } from '../../pieces/clear';
import type { PieceKind } from '../../pieces/kind';
import { type PieceOnFloor, inFrame, middleOfPiece, piecesOn, turnOfFrame } from '../../pieces/on-floor';
import { type Draft, Refusal } from '../../plan/draft';
import { type BuiltIn, type Id, NEW_PIECE, type Piece, type PieceStand } from '../../plan/plan';
import { LONGEST_NAME } from '../../plan/schema';
import { formatLength } from '../../units';
import { edit } from '../edit';
import { alikeFinished } from './finishes';
import { requireFloor, requireName, requireNote, requireOne } from '../require';

type Told = Partial<Omit<Piece, 'id' | 'floor'>>;

/** A piece comes to stand somewhere: where is worked out before (`placePiece`). */
export interface AddPiece {
  readonly kind: 'addPiece';
  readonly floor: Id;
  readonly piece: Told & Pick<Piece, 'form' | 'width' | 'depth' | 'height' | 'stand'>;
}

function addPiece(draft: Draft, { floor, piece }: AddPiece): Id {
  requireFloor(draft, floor);
  if (!isKnownForm(piece.form)) throw new Refusal('There is no such piece in the catalogue.');
  const id = draft.newId();
  draft.put('pieces', checked(draft, { ...NEW_PIECE, ...piece, id, floor }));
  return id;
}

export interface ChangePiece {
  readonly kind: 'changePiece';
  readonly piece: Id;
  readonly to: Told;
  /** All that are alike: of its kind, as large. */
  readonly alike?: boolean;
  /** These too, which were chosen with it. */
  readonly with?: readonly Id[];
}

function changePiece(draft: Draft, { piece: id, to, alike = false, with: others = [] }: ChangePiece): void {
  const piece = requirePiece(draft, id);
  for (const each of [piece, ...others.map((other) => requirePiece(draft, other))])
    draft.put('pieces', checked(draft, { ...each, ...sized(each, to) }));
  if (!alike) return;
  const { stand: _, group: __, ...same } = to;
  for (const other of Object.values(draft.pieces))
    if (other.id !== id && isAlike(other, piece))
      draft.put('pieces', checked(draft, { ...other, ...sized(other, same) }));
}

export const isAlike = (a: Piece, b: Piece): boolean =>
  a.form === b.form && a.width === b.width && a.depth === b.depth && a.height === b.height;

/** What is round is as deep as it is wide. */
function sized({ form }: Piece, to: Told): Told {
  const side = to.width ?? to.depth;
  return pieceKindOf(form).round && side !== undefined ? { ...to, width: side, depth: side } : to;
}

/** Pieces go each to its place: one that is dragged, those of its group with it. */
export interface PlacePieces {
  readonly kind: 'placePieces';
  readonly places: readonly {
    readonly piece: Id;
    readonly stand: PieceStand;
    readonly gap?: number;
    readonly up?: number;
    readonly mirrored?: boolean;
  }[];
  /** Typed: between the walls round it it stays. */
  readonly indoors?: boolean;
}

function placePieces(draft: Draft, { places, indoors = false }: PlacePieces): void {
  for (const { piece: id, stand, gap, up, mirrored } of places) {
    const piece = requirePiece(draft, id);
    draft.put(
      'pieces',
      checked(draft, {
        ...piece,
        stand,
        ...(gap !== undefined && { gap }),
        ...(up !== undefined && { up }),
        ...(mirrored !== undefined && { mirrored }),
      }),
    );
    if (indoors && leavesItsSpace(draft, piece))
      throw new Refusal('That is beyond the walls round it: there is not so much room.');
  }
}

function leavesItsSpace(draft: Draft, { id, floor }: Piece): boolean {
  const derived = deriveFloor(draft.before, floor);
  const [was, is] = [draft.before.pieces, draft.pieces].map((pieces) => {
    const on = piecesOn(pieces, derived).find(({ piece }) => piece.id === id);
    return on ? spaceAt(derived, middleOfPiece(on)) : null;
  });
  return was !== null && was !== is;
}

export interface RemovePieces {
  readonly kind: 'removePieces';
  readonly pieces: readonly Id[];
}

/** What stands on one that goes comes down to the floor under it. */
function removePieces(draft: Draft, { pieces }: RemovePieces): void {
  const gone = new Set(pieces);
  for (const id of pieces) {
    const { floor } = requirePiece(draft, id);
    const left = Object.values(draft.pieces).filter(
      ({ stand, id: own }) => stand.kind === 'piece' && stand.piece === id && !gone.has(own),
    );
    if (left.length > 0) {
      const places = placesOf(draft, floor);
      for (const each of left) draft.put('pieces', { ...each, stand: freeStand(places.get(each.id)!) });
      draft.notes.push(
        left.length === 1
          ? `${pieceName(left[0]!)} stood on it, and stands on the floor now.`
          : `${left.length} pieces stood on it, and stand on the floor now.`,
      );
    }
  }
  for (const id of pieces) draft.drop('pieces', id);
}

const placesOf = (draft: Draft, floor: Id): ReadonlyMap<Id, PieceOnFloor> =>
  new Map(piecesOn(draft.before.pieces, deriveFloor(draft.before, floor)).map((on) => [on.piece.id, on]));

const freeStand = (on: PieceOnFloor): PieceStand => {
  const { x, y } = middleOfPiece(on);
  return { kind: 'free', x, y, turn: turnOfFrame(on.frame) };
};

export interface CopyPieces {
  readonly kind: 'copyPieces';
  readonly pieces: readonly Id[];
  readonly dx: number;
  readonly dy: number;
}

/** Copies of pieces, so far off; of those that stand on others which are copied the copy stands on the copy. */
function copyPieces(draft: Draft, { pieces, dx, dy }: CopyPieces): Id {
  const all = pieces.map((id) => requirePiece(draft, id));
  const became = new Map(all.map(({ id }) => [id, draft.newId()]));
  const groups = new Map<string, string>();
  for (const piece of all) {
    const id = became.get(piece.id)!;
    const { stand, group } = piece;
    if (group && !groups.has(group)) groups.set(group, draft.newId());
    const under = stand.kind === 'piece' ? became.get(stand.piece) : undefined;
    const now: PieceStand =
      stand.kind === 'piece' && under
        ? { ...stand, piece: under }
        : movedFrom(placesOf(draft, piece.floor).get(piece.id), stand, dx, dy);
    draft.put('pieces', checked(draft, { ...piece, id, stand: now, group: groups.get(group) ?? '' }));
    alikeFinished(draft, piece.id, id);
  }
  return became.values().next().value!;
}

/** Against its wall it slides along it where the copy goes that way; else it stands free. */
function movedFrom(on: PieceOnFloor | undefined, stand: PieceStand, dx: number, dy: number): PieceStand {
  if (!on) return stand;
  const { x, y } = middleOfPiece(on);
  if (stand.kind === 'wall' && stand.quarter === 0) {
    const by = inFrame({ at: { x: 0, y: 0 }, d: on.frame.d }, { x: dx, y: dy });
    const away = stand.side === 'right' ? stand.anchor === 'start' : stand.anchor === 'end';
    if (Math.abs(by.y) < 1) return { ...stand, offset: stand.offset + (away ? by.x : -by.x) };
  }
  return { kind: 'free', x: x + dx, y: y + dy, turn: turnOfFrame(on.frame) };
}

export interface ArrayPiece {
  readonly kind: 'arrayPiece';
  readonly piece: Id;
  readonly pattern: Pattern;
  /** One that stands at the end of them already joins their group. */
  readonly last?: Id;
}

/** Equal copies in a row, a grid or round a point, to the last digit; together they are a group. */
function arrayPiece(draft: Draft, { piece: id, pattern, last }: ArrayPiece): void {
  const piece = requirePiece(draft, id);
  const count = countOf(pattern);
  if (!Number.isInteger(count) || count < 2) throw new Refusal('That is two pieces at least.');
  if (count > MOST_COPIES) throw new Refusal(`${MOST_COPIES} copies at most at a time.`);
  const on = placesOf(draft, piece.floor).get(id);
  if (!on) throw new Refusal('That piece stands nowhere.');
  const first = middleOfPiece(on);
  const turn = turnOfFrame(on.frame);
  const group = piece.group || draft.newId();
  const spots = spotsOf(pattern, first);
  if (spots.some(({ x, y }) => !(Math.abs(x) < 1e7 && Math.abs(y) < 1e7)))
    throw new Refusal('That is too far away to be part of this house.');
  if (last !== undefined) draft.put('pieces', { ...requirePiece(draft, last), group });
  spots.forEach((spot, i) => {
    const stays = i === 0 && distance(spot, first) < 1e-6;
    const stand: PieceStand = stays
      ? piece.stand
      : piece.stand.kind === 'wall' && spot.turn === 0
        ? movedFrom(on, piece.stand, spot.x - first.x, spot.y - first.y)
        : { kind: 'free', x: spot.x, y: spot.y, turn: (turn + spot.turn) % 360 };
    const copy = i === 0 ? piece.id : draft.newId();
    draft.put('pieces', { ...piece, id: copy, group, stand });
    if (copy !== piece.id) alikeFinished(draft, piece.id, copy);
  });
}

export interface GroupPieces {
  readonly kind: 'groupPieces';
  readonly pieces: readonly Id[];
  readonly together: boolean;
}

function groupPieces(draft: Draft, { pieces, together }: GroupPieces): void {
  if (together && pieces.length < 2) throw new Refusal('Choose two pieces at least: they then go together.');
  const group = together ? draft.newId() : '';
  for (const id of pieces) draft.put('pieces', { ...requirePiece(draft, id), group });
}

export interface OrderPiece {
  readonly kind: 'orderPiece';
  readonly piece: Id;
  readonly to: 'front' | 'back';
}

/** Before or behind all others that lie as high. */
function orderPiece(draft: Draft, { piece: id, to }: OrderPiece): void {
  const piece = requirePiece(draft, id);
  const orders = Object.values(draft.pieces).flatMap((each) => (each.floor === piece.floor ? [each.order] : []));
  const order = to === 'front' ? Math.max(...orders) + 1 : Math.min(...orders) - 1;
  draft.put('pieces', { ...piece, order });
}

export interface HearAdvice {
  readonly kind: 'hearAdvice';
  readonly piece: Id;
  readonly advice: string;
  readonly heard: boolean;
}

/** What was said about a piece is not said again, or is. */
function hearAdvice(draft: Draft, { piece: id, advice, heard }: HearAdvice): void {
  const piece = requirePiece(draft, id);
  const others = piece.heard.filter((each) => each !== advice);
  draft.put('pieces', { ...piece, heard: heard ? [...others, advice].slice(-20) : others });
}

/** A piece that can be, with words that can be read. */
function checked(draft: Draft, piece: Piece): Piece {
  const { units } = draft.job;
  const kind = pieceKindOf(piece.form);
  const limits = (['width', 'depth', 'height'] as const).map((side) => ({ side, mm: piece[side], range: kind[side] }));
  for (const { side, mm, range } of limits) {
    const [, least, most] = range;
    if (mm >= least - 0.5 && mm <= most + 0.5) continue;
    const between = `${formatLength(least, units)} to ${formatLength(most, units)}`;
    throw new Refusal(`${called(kind)} is ${between} ${SAID[side]}. For anything else take a box.`);
  }
  if (!(piece.up >= 0 && piece.up <= 20_000)) throw new Refusal('A piece begins on the floor, or up to 20 m over it.');
  if (!(piece.gap >= 0 && piece.gap <= 5000)) throw new Refusal('Behind a piece 0 to 5 m are left.');
  if (piece.price !== null && !(piece.price >= 0 && piece.price <= 1e9)) throw new Refusal('A price is 0 or more.');
  const [maker, layer] = [piece.maker.trim(), piece.layer.trim()];
  if (maker.length > LONGEST_NAME) throw new Refusal(`A maker can have ${LONGEST_NAME} characters at most.`);
  if (piece.builtIn) requireModules(piece.builtIn, piece.width, units);
  return {
    ...piece,
    name: requireName(piece.name),
    note: requireNote(piece.note),
    link: requireNote(piece.link),
    maker,
    layer,
  };
}

const SAID = { width: 'wide', depth: 'deep', height: 'high' } as const;
const called = ({ name }: PieceKind) =>
  /^[A-Z]{2}/.test(name) ? `A ${name}` : `A ${name.charAt(0).toLowerCase()}${name.slice(1)}`;

function requireModules({ modules, plinth, overhang }: BuiltIn, width: number, units: Draft['job']['units']): void {
  if (modules.length === 0) throw new Refusal('It has one part at least.');
  const typed = modules.reduce((sum, each) => sum + (each.width ?? 0), 0);
  if (typed > width + 0.5)
    throw new Refusal(
      `The parts are ${formatLength(typed, units)} together, and it is ${formatLength(width, units)} wide. Make one narrower, or leave its width open.`,
    );
  if (modules.some(({ width: own }) => own === null) && typed > width - 10)
    throw new Refusal('That leaves nothing for the parts whose width is open.');
  if (plinth > 500 || overhang > 500) throw new Refusal('A plinth and an overhang are 500 mm at most.');
}

const requirePiece = (draft: Draft, id: Id): Piece => requireOne(draft, 'pieces', id, 'That piece is no longer there.');

export const piecesEdits = {
  addPiece: edit<AddPiece>('add piece', addPiece),
  changePiece: edit<ChangePiece>('change piece', changePiece),
  placePieces: edit<PlacePieces>('move piece', placePieces),
  removePieces: edit<RemovePieces>('remove piece', removePieces),
  copyPieces: edit<CopyPieces>('copy piece', copyPieces),
  arrayPiece: edit<ArrayPiece>('copies of a piece', arrayPiece),
  groupPieces: edit<GroupPieces>(({ together }) => (together ? 'group' : 'ungroup'), groupPieces),
  orderPiece: edit<OrderPiece>('order of pieces', orderPiece),
  hearAdvice: edit<HearAdvice>('advice heard', hearAdvice),
};
