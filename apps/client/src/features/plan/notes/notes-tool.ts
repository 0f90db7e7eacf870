import type { Annotation, Dimension, Intent, Point } from '@velvet-tape/core';
import type { Anchored, NoteHit } from '@velvet-tape/core/notes';
import { laterRooms } from '../../../core-later/to-come';
import { lent } from '../later/lent';
import type { Bench, Pointer, Tool } from '../tools/tool';
import { annotationOf, dimensionOf, laidOf, movedBy, pointsOf } from './chosen-note';

const { LETTERING_ON_PAPER, isTap, lookContent, outOfReach } = lent();
const { anchorAt, noteAt, placeOf, turnHandle } = laterRooms();

/** Dragged lines go in steps of a centimetre, mm. */
const STEP = 10;
/** How far a line that runs along a face is put off it, in rows of lettering. */
const OFF_FACE = 1;
/** What a text says until something is written. */
export const UNWRITTEN = 'Note';

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'pressed'; readonly from: Pointer; readonly hit: NoteHit | null }
  | { readonly kind: 'panning'; readonly px: Point }
  | { readonly kind: 'drawing'; readonly from: Anchored }
  | { readonly kind: 'dragging'; readonly from: Point; readonly drag: Drag; readonly seed: string };

/** What a finger that is somewhere does with what it has hold of. */
type Drag = (pointer: Pointer, by: Point) => Intent | null;

/**
 * Puts notes on the plan: a drag draws a line from what it begins at to what it ends at, a tap sets a text, a sign, a level, or chooses what is there. What is chosen
 * is moved by a drag. idle → pressed → drawing or dragging → idle
 */
export function notesTool(bench: Bench): Tool {
  let state: State = { kind: 'idle' };
  /** Of an angle, what was tapped so far. */
  let tapped: readonly Anchored[] = [];

  const floor = () => bench.floor();
  const caught = ({ at, reach, free }: Pointer) => anchorAt(floor(), at, free ? 0 : reach);
  const hitAt = ({ at, reach }: Pointer): NoteHit | null => {
    const { plan } = floor();
    const out = outOfReach(bench.looks(), plan.job.look);
    const { layers } = lookContent(bench.looks(), plan.job.look);
    const isOut = (of: NoteHit['of'], layer: string) =>
      out.has(of === 'dimensions' ? 'dimensions' : 'notes') || (layers[layer] ?? 'on') !== 'on';
    return noteAt(floor(), at, reach, bench.lettering(), isOut);
  };
  const isChosen = (hit: NoteHit | null): boolean => {
    const chosen = bench.selection();
    return hit !== null && chosen.kind === 'note' && chosen.id === hit.id;
  };
  /** The chosen text or sign, by the handle that stands beside it. */
  const atHandle = ({ at, reach }: Pointer): NoteHit | null => {
    const chosen = bench.selection();
    const annotation = chosen.kind === 'note' ? annotationOf(floor().plan, chosen) : null;
    const handle = annotation && turnHandle(annotation, bench.lettering());
    const near = handle !== null && Math.hypot(handle.x - at.x, handle.y - at.y) <= reach;
    return near ? { of: 'annotations', id: annotation!.id } : null;
  };
  const choose = ({ of, id }: NoteHit) => bench.select({ kind: 'note', of, id });
  const make = (intent: Intent, of: NoteHit['of']) => {
    const { made } = bench.commit(intent, bench.seed());
    if (made) choose({ of, id: made });
  };
  const show = (points: readonly Anchored[]) => bench.lasso(points.map(({ at }) => at));

  const tap = (pointer: Pointer, hit: NoteHit | null) => {
    const { note } = bench.choices();
    const chosen = bench.selection();
    const on = floor().floor;
    if (note.adding && chosen.kind === 'note' && chosen.of === 'dimensions') {
      const { stand } = caught(pointer);
      bench.commit({ kind: 'addDimensionPoint', dimension: chosen.id, stand }, bench.seed());
      return;
    }
    if (hit && tapped.length === 0) {
      choose(hit);
      return;
    }
    const anchored = caught(pointer);
    const dimension = (form: Dimension['form'], points: readonly Anchored[]) =>
      make({ kind: 'addDimension', floor: on, form, points: points.map(({ stand }) => stand) }, 'dimensions');
    switch (note.form) {
      case 'level':
      case 'radius':
        dimension(note.form, [anchored]);
        break;
      case 'angle':
        tapped = [...tapped, anchored];
        show(tapped);
        if (tapped.length < 3) break;
        dimension('angle', tapped);
        tapped = [];
        bench.lasso([]);
        break;
      case 'text':
        make({ kind: 'addAnnotation', floor: on, form: 'text', at: pointer.at, text: UNWRITTEN }, 'annotations');
        break;
      case 'sign':
        make({ kind: 'addAnnotation', floor: on, form: 'sign', at: pointer.at, sign: note.sign }, 'annotations');
        break;
      default:
        bench.select({ kind: 'nothing' });
    }
  };

  const draw = (from: Anchored, pointer: Pointer) => {
    const { form } = bench.choices().note;
    const to = caught(pointer);
    const on = floor().floor;
    if (form === 'line') {
      const line = { row: offFace(bench, from, to), turn: wayOf(bench, from, to) };
      make({ kind: 'addDimension', floor: on, form, ...line, points: [from.stand, to.stand] }, 'dimensions');
    } else if (form === 'text')
      // from what is meant to where it is written
      make({ kind: 'addAnnotation', floor: on, form, at: pointer.at, to: from.at, text: UNWRITTEN }, 'annotations');
    else if (form === 'arrow' || form === 'rule')
      make(
        { kind: 'addAnnotation', floor: on, form: form === 'rule' ? 'line' : form, at: from.at, to: to.at },
        'annotations',
      );
  };

  const intentOf = (drag: Drag, from: Point, pointer: Pointer) =>
    drag(pointer, { x: pointer.at.x - from.x, y: pointer.at.y - from.y });

  return {
    get busy() {
      return state.kind === 'dragging' || state.kind === 'drawing' || tapped.length > 0;
    },
    down(pointer) {
      state = { kind: 'pressed', from: pointer, hit: hitAt(pointer) };
    },
    move(pointer) {
      if (state.kind === 'pressed') {
        const { from, hit } = state;
        if (isTap(from.px, pointer.px)) return;
        const held = isChosen(hit) ? hit : atHandle(from);
        const drag = held ? dragOf(bench, held, from) : null;
        const draws = !drag && DRAWN.includes(bench.choices().note.form);
        state = drag
          ? { kind: 'dragging', from: from.at, drag, seed: bench.seed() }
          : draws
            ? { kind: 'drawing', from: caught(from) }
            : { kind: 'panning', px: from.px };
      }
      if (state.kind === 'panning') {
        bench.pan(pointer.px.x - state.px.x, pointer.px.y - state.px.y);
        state = { kind: 'panning', px: pointer.px };
      } else if (state.kind === 'drawing') show([state.from, caught(pointer)]);
      else if (state.kind === 'dragging') bench.preview(intentOf(state.drag, state.from, pointer), state.seed);
    },
    up(pointer) {
      const was = state;
      state = { kind: 'idle' };
      if (was.kind === 'pressed') tap(pointer, was.hit);
      else if (was.kind === 'drawing') {
        bench.lasso([]);
        draw(was.from, pointer);
      } else if (was.kind === 'dragging') {
        const intent = intentOf(was.drag, was.from, pointer);
        if (intent) bench.commit(intent, was.seed);
        else bench.preview(null, was.seed);
      }
    },
    cancel() {
      if (state.kind === 'dragging') bench.preview(null, state.seed);
      state = { kind: 'idle' };
      tapped = [];
      bench.lasso([]);
    },
  };
}

/** Forms that are drawn from one place to another. */
const DRAWN: readonly string[] = ['line', 'text', 'arrow', 'rule'];

const inSteps = (mm: number) => Math.round(mm / STEP) * STEP;

/** Drawn this near to square to a wall, along one, level or upright, distances are taken so, degrees. */
const STRAIGHT = 7;
/** Nearer than this it is so by itself, and goes along when the wall turns. */
const BY_ITSELF = 0.02;

/** Which way distances are taken between two points that were drawn a little off: degrees; null: straight from one to the other. */
function wayOf(bench: Bench, from: Anchored, to: Anchored): number | null {
  const { network, openings } = bench.floor();
  const drawn = degreesOf(from.at, to.at);
  const walls = [from.stand, to.stand].flatMap((stand) => {
    if (stand.kind === 'free') return [];
    const wall = stand.kind === 'wall' ? stand.wall : openings.find(({ id }) => id === stand.opening)?.wall;
    if (wall === undefined) return [];
    const { course } = network.half(wall, true);
    return [degreesOf(course.a, course.b), degreesOf(course.a, course.b) + 90];
  });
  const ways = [...walls, 0, 90].map((way) => ({ way, off: ((((drawn - way + 90) % 180) + 180) % 180) - 90 }));
  const [best] = ways.sort((a, b) => Math.abs(a.off) - Math.abs(b.off));
  return !best || Math.abs(best.off) > STRAIGHT || Math.abs(best.off) < BY_ITSELF ? null : drawn - best.off;
}

const degreesOf = (a: Point, b: Point) => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;

/** A line along a face stands off it, on its own side; any other lies where it was drawn. Rows. */
function offFace(bench: Bench, { stand, at }: Anchored, to: Anchored): number {
  if (stand.kind === 'free') return 0;
  const { network, openings } = bench.floor();
  const wall = stand.kind === 'wall' ? stand.wall : openings.find(({ id }) => id === stand.opening)?.wall;
  const half = wall === undefined ? null : network.half(wall, stand.side === 'right');
  const length = Math.hypot(to.at.x - at.x, to.at.y - at.y);
  if (!half || length < 1) return 0;
  const d = { x: (to.at.x - at.x) / length, y: (to.at.y - at.y) / length };
  const along = d.x * half.d.x + d.y * half.d.y;
  return Math.abs(along) > 0.999 ? OFF_FACE * Math.sign(along) : 0;
}

/** What a drag does with a chosen note. */
function dragOf(bench: Bench, { of, id }: NoteHit, from: Pointer): Drag | null {
  const { plan } = bench.floor();
  const annotation = annotationOf(plan, { of, id });
  if (annotation) return dragOfAnnotation(annotation, from, bench.lettering());
  const dimension = dimensionOf(plan, { of, id });
  return dimension && dragOfDimension(bench, dimension, from);
}

/** Turned to within so many degrees of an eighth of a right angle it is turned to that. */
const EIGHTH = 15;
const NEAR = 4;

/** Turned and sized by its handle: as far round as the finger is, as much larger as it is farther off. */
function turnedBy({ at, size }: Annotation, handle: Point, { x, y }: Point): Pick<Annotation, 'turn' | 'size'> {
  const away = (p: Point) => Math.hypot(p.x - at.x, p.y - at.y);
  const turn = (Math.atan2(y - at.y, x - at.x) * 180) / Math.PI;
  const even = Math.round(turn / EIGHTH) * EIGHTH;
  const { least, most } = LETTERING_ON_PAPER;
  const larger = (size * away({ x, y })) / Math.max(1, away(handle));
  return {
    turn: Math.abs(turn - even) < NEAR ? even : Math.round(turn),
    size: Math.round(Math.min(most, Math.max(least, larger)) * 10) / 10,
  };
}

function dragOfAnnotation(annotation: Annotation, { at: pressed, reach }: Pointer, lettering: number): Drag {
  const change = (to: Partial<Annotation>): Intent => ({ kind: 'changeAnnotation', annotation: annotation.id, to });
  const near = (p: Point | null) => p !== null && Math.hypot(p.x - pressed.x, p.y - pressed.y) <= reach;
  const { at, to, form } = annotation;
  const handle = turnHandle(annotation, lettering);
  if (near(handle)) return (pointer) => change(turnedBy(annotation, handle!, pointer.at));
  if (near(to)) return (_, by) => change({ to: { x: to!.x + by.x, y: to!.y + by.y } });
  if ((form === 'arrow' || form === 'line') && near(at))
    return (_, by) => change({ at: { x: at.x + by.x, y: at.y + by.y } });
  // what a text points at stays where it is
  if (form === 'text') return (_, by) => change({ at: { x: at.x + by.x, y: at.y + by.y } });
  return (_, by) => change(movedBy(annotation, by));
}

function dragOfDimension(bench: Bench, dimension: Dimension, from: Pointer): Drag | null {
  const { id: line, form, off } = dimension;
  const floor = bench.floor();
  const move =
    (point: string): Drag =>
    (pointer) => ({
      ...{ kind: 'moveDimensionPoint', point },
      stand: anchorAt(floor, pointer.at, pointer.free ? 0 : pointer.reach).stand,
    });
  const points = pointsOf(floor.plan, line);
  const held = points.find(({ stand }) => {
    const at = placeOf(floor, stand);
    return at !== null && Math.hypot(at.x - from.at.x, at.y - from.at.y) <= from.reach / 2;
  });
  const change = (to: Partial<Dimension>): Intent => ({ kind: 'changeDimension', dimension: line, to });
  if (form === 'level' || form === 'radius') return move(points[0]!.id);
  if (form === 'angle') {
    const vertex = points[1] && placeOf(floor, points[1].stand);
    return vertex ? ({ at }) => change({ off: inSteps(Math.hypot(at.x - vertex.x, at.y - vertex.y)) }) : null;
  }
  if (held) return move(held.id);
  const laid = laidOf(floor, line);
  return laid && ((_, by) => change({ off: inSteps(off - laid.d.y * by.x + laid.d.x * by.y) }));
}
