import { type Point, covers, distance } from '@velvet-tape/core';
import { WANTED, isOnSheet, markOnSheet, withMark, type MarksProposal } from '../underlay/marks';
import { caught } from './snapping';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'pressed'; readonly px: Point; readonly at: Point }
  /** A mark is under the finger. */
  | { readonly kind: 'marking'; readonly index: number }
  | {
      readonly kind: 'moving';
      readonly underlay: string;
      readonly at: Point;
      readonly was: Point;
      readonly seed: string;
    }
  | { readonly kind: 'panning'; readonly px: Point };

/** Further from a finger than this a mark is another one, in reaches. */
const NEAR = 1.5;

/**
 * Works on the pictures under the plan: chooses one, moves the chosen one unless it is locked, and sets marks while marks are wanted. What was
 * found on a picture is taken where it is tapped. idle → pressed → moving or panning, or marking → idle
 */
export function underlayTool(bench: Bench): Tool {
  let state: State = { kind: 'idle' };

  const marks = (): MarksProposal | null => {
    const proposal = bench.proposal();
    return proposal?.kind === 'marks' ? proposal : null;
  };
  const underlays = () => {
    const { plan, floor } = bench.floor();
    return Object.values(plan.underlays)
      .filter((underlay) => underlay.floor === floor && !underlay.hidden)
      .sort((a, b) => b.order - a.order);
  };
  const underlayOf = (id: string) => bench.floor().plan.underlays[id];

  const set = (index: number, pointer: Pointer) => {
    const proposal = marks();
    const underlay = proposal && underlayOf(proposal.underlay);
    if (!proposal || !underlay) return;
    const at = isOnSheet(proposal, index) ? caught(bench, pointer) : pointer.at;
    bench.propose(withMark(proposal, underlay, index, at));
  };
  /** The mark near the finger, else the next one that is wanted. */
  const markAt = (proposal: MarksProposal, pointer: Pointer): number | null => {
    const underlay = underlayOf(proposal.underlay);
    if (!underlay) return null;
    const offs = proposal.marks.map((_, i) => distance(markOnSheet(proposal, underlay, i), pointer.at));
    const nearest = offs.indexOf(Math.min(...offs));
    if (nearest >= 0 && offs[nearest]! <= NEAR * pointer.reach) return nearest;
    return proposal.marks.length < WANTED[proposal.task] ? proposal.marks.length : null;
  };

  const beginDrag = (pointer: Pointer, pressed: { px: Point; at: Point }): State => {
    const selection = bench.selection();
    const chosen = selection.kind === 'underlay' ? underlayOf(selection.id) : undefined;
    if (chosen && !chosen.locked && !chosen.hidden && covers(chosen, pressed.at))
      return { kind: 'moving', underlay: chosen.id, at: pressed.at, was: chosen.at, seed: bench.seed() };
    return { kind: 'panning', px: pressed.px };
  };
  const moved = (from: Extract<State, { kind: 'moving' }>, to: Point) =>
    ({
      kind: 'changeUnderlay',
      underlay: from.underlay,
      change: { at: { x: from.was.x + to.x - from.at.x, y: from.was.y + to.y - from.at.y } },
    }) as const;

  return {
    get busy() {
      return state.kind === 'marking' || state.kind === 'moving';
    },
    down(pointer) {
      const proposal = marks();
      const index = proposal && markAt(proposal, pointer);
      if (index === null) {
        state = { kind: 'pressed', px: pointer.px, at: pointer.at };
        return;
      }
      state = { kind: 'marking', index };
      set(index, pointer);
    },
    move(pointer) {
      if (state.kind === 'marking') set(state.index, pointer);
      if (state.kind === 'pressed' && !isTap(state.px, pointer.px)) state = beginDrag(pointer, state);
      if (state.kind === 'moving') bench.preview(moved(state, pointer.at), state.seed);
      if (state.kind === 'panning') {
        bench.pan(pointer.px.x - state.px.x, pointer.px.y - state.px.y);
        state = { kind: 'panning', px: pointer.px };
      }
    },
    up(pointer) {
      if (state.kind === 'moving') bench.commit(moved(state, pointer.at), state.seed);
      if (state.kind === 'pressed' && !marks() && !bench.takeSeen(pointer.at, pointer.reach)) {
        const under = underlays().find((underlay) => covers(underlay, pointer.at));
        bench.select(under ? { kind: 'underlay', id: under.id } : { kind: 'nothing' });
      }
      bench.guide([]);
      state = { kind: 'idle' };
    },
    cancel() {
      if (state.kind === 'moving') bench.preview(null, state.seed);
      if (state.kind === 'marking') {
        // the mark that was being set goes; one that was moved stays where it is
        const proposal = marks();
        if (proposal && state.index === proposal.marks.length - 1)
          bench.propose({ ...proposal, marks: proposal.marks.slice(0, -1) });
      }
      bench.guide([]);
      state = { kind: 'idle' };
    },
  };
}
