import type { Piece, PieceSpec, Point } from '@velvet-tape/core';
import { laterRooms } from '../../../core-later/to-come';
import { recall, remember } from '../../../ui/remembered';
import { lent } from '../later/lent';
import type { Bench } from '../tools/tool';
import { on } from './holding';

const { randomSeed } = lent();
const { newPiece, pieceKindOf, placePiece } = laterRooms();

/** What was put down last on this device, the newest first. */
const RECENT = 'pieces.recent';
const MOST_RECENT = 8;
export const recentForms = (): readonly string[] => (recall(RECENT) ?? '').split(' ').filter(Boolean);
const rememberRecent = (form: string) =>
  remember(RECENT, [form, ...recentForms().filter((each) => each !== form)].slice(0, MOST_RECENT).join(' '));

/** A kept piece that is in hand, by the name it is in hand under. */
const kept = new Map<string, PieceSpec & { readonly name: string }>();
export const KEPT = 'kept ';
export const takeKept = (id: string, name: string, spec: PieceSpec): string => {
  kept.set(`${KEPT}${id}`, { ...spec, name });
  return `${KEPT}${id}`;
};

/** What is in hand as a piece: of a kind as it usually is, or one that was kept. */
export const pieceInHand = (form: string) => {
  const own = kept.get(form);
  const kind = pieceKindOf(own?.form ?? form);
  return { kind, piece: { ...newPiece(kind), ...own } };
};

/** The edit that puts what is in hand down where a finger is. */
export function puttingDown(bench: Bench, form: string, at: Point, how: { reach: number }) {
  const { piece } = pieceInHand(form);
  const {
    stand,
    guides,
    mirrored = false,
  } = placePiece(bench.floor(), piece, at, {
    ...{ reach: how.reach, turn: 0, fresh: true },
    others: on(bench),
  });
  const up = stand.kind === 'piece' ? 0 : piece.up;
  return { intent: adding(bench, { ...piece, up, stand, mirrored }), guides };
}

/** It is part of the option that is looked at; in the measured house it is there in all of them. */
const adding = (bench: Bench, piece: Omit<Piece, 'id' | 'floor' | 'option'>) =>
  ({
    kind: 'addPiece',
    floor: bench.floor().floor,
    piece: { ...piece, option: bench.option() ?? '' },
  }) as const;

/** Puts it down where a finger is; it is then chosen. False where it was refused. */
export const putDownAt = (bench: Bench, form: string, at: Point, reach: number): boolean =>
  done(bench, form, puttingDown(bench, form, at, { reach }).intent);

/** The same with what is in hand by that name where it is said to stand. */
export const putDown = (bench: Bench, form: string, piece: Omit<Piece, 'id' | 'floor' | 'option'>): boolean =>
  done(bench, form, adding(bench, piece));

function done(bench: Bench, form: string, intent: ReturnType<typeof adding>): boolean {
  const { made } = bench.commit(intent, randomSeed());
  if (!made) return false;
  if (!form.startsWith(KEPT)) rememberRecent(form);
  bench.select({ kind: 'piece', ids: [made] });
  return true;
}
