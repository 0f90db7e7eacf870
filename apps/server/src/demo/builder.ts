import { PAINT_CHART, READY_LOOKS, painted } from '@velvet-tape/core/finishes';
import { type SheetSet, layOut } from '@velvet-tape/core/sheets';
import type { FinishLook, FinishOn, Point, Sheet, SignName, Trim, TrimPart, VantageView } from '@velvet-tape/core';
import { FurnishingBuilder } from './furnishing-builder';
import type { Side } from './plan-builder';

export type { PictureOnPaper } from './plan-builder';

/** Builds a demo plan with the same edits a person makes: at last how it is dressed, looked at and printed. */
export class DemoBuilder extends FurnishingBuilder {
  /** What is to be known of a place, with a line to it. */
  write(text: string, at: Point, to: Point): void {
    this.do({ kind: 'addAnnotation', floor: this.floor, form: 'text', at, to, text });
  }

  /** A vantage over the floor that is worked on; how high as it is typed. */
  lookFrom(
    name: string,
    view: Pick<VantageView, 'x' | 'y' | 'heading' | 'tilt' | 'lens'> &
      Partial<Omit<VantageView, 'up'>> & { readonly up: string },
  ): void {
    const usual = { floor: this.floor, uprights: false, openSide: false, alone: false, furnished: true, sun: null };
    this.do({ kind: 'addVantage', name, view: { ...usual, ...view, up: this.mm(view.up).value } });
  }

  sign(sign: SignName, at: Point, turn = 0): void {
    this.do({ kind: 'addAnnotation', floor: this.floor, form: 'sign', at, turn, sign });
  }

  /** What a floor is covered with. */
  covered(room: string, covering: string): void {
    this.do({ kind: 'changeLabel', room, to: { covering } });
  }

  /** The sheets of a set, as anybody lays them out. */
  sheets(set: SheetSet, paper: Sheet['paper']): void {
    this.do({ kind: 'addSheets', sheets: layOut(this.made, set, paper) });
  }

  /** A part of a room, or of the whole house, in a paint of the chart or in what lies ready, by its name. */
  dress(
    room: string | null,
    part: 'face' | 'floor' | 'ceiling' | 'skirting' | 'cornice' | 'outside' | 'roof' | 'frame' | 'leaf' | 'stairs',
    called: string,
    more: Partial<FinishLook> = {},
  ): void {
    const on = room === null ? { what: 'house', of: '', part } : { what: 'room', of: room, part };
    this.lay(on as FinishOn, called, more);
  }

  /** One wall of a room. */
  dressWall(room: string, side: Side, called: string): void {
    const [half] = this.face(room, side).halves;
    this.lay({ what: 'wall', of: half!.wall.id, part: half!.forward ? 'right' : 'left' }, called);
  }

  dressPiece(piece: string, part: 'body' | 'top' | 'soft', called: string): void {
    this.lay({ what: 'piece', of: piece, part }, called);
  }

  private lay(on: FinishOn, called: string, more: Partial<FinishLook> = {}): void {
    const paint = PAINT_CHART.find(({ name }) => name === called);
    const ready = READY_LOOKS.find(({ name }) => name === called);
    const look = paint ? painted(paint.colour, paint.name) : ready;
    if (!look) throw new Error(`The demo can’t be built: there is no finish called ${called}.`);
    this.do({ kind: 'layFinish', on: [on], along: true, look: { ...look, ...more }, option: this.option });
  }

  trim(room: string | null, part: TrimPart, profile: Trim['profile'], height: string, depth: string): void {
    const to = { profile, height: this.mm(height).value, depth: this.mm(depth).value };
    this.do({ kind: 'fitTrim', part, room, to, option: this.option });
  }
}
