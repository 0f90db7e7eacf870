import type { BuiltIn, PieceModule } from '../../plan/plan';
import type { Size } from '../kind';
import { type Line, type Part, box, line } from '../form';
import { hangers } from './cupboards';
import { frontLines } from './units';

/** A part of a piece that is built in, as wide as it comes out: `from` mm from its left end. */
export interface LaidModule extends PieceModule {
  readonly from: number;
  readonly wide: number;
}

/**
 * The modules of a piece laid side by side: those with a width have it, the others share what is left equally. Where those that are typed leave nothing, all are
 * narrowed alike, so that they end with the piece; `over` says by how much they do not fit, mm.
 */
export function layModules(
  width: number,
  modules: readonly PieceModule[],
): { laid: LaidModule[]; over: number; left: number } {
  const typed = modules.reduce((sum, each) => sum + (each.width ?? 0), 0);
  const open = modules.filter((each) => each.width === null).length;
  const left = width - typed;
  const share = open > 0 ? Math.max(0, left) / open : 0;
  const total = typed + share * open;
  const over = Math.max(0, total - width);
  const by = over > 0 && total > 0 ? width / total : 1;
  let from = 0;
  const laid = modules.map((each): LaidModule => {
    const wide = (each.width ?? share) * by;
    const it = { ...each, from, wide };
    from += wide;
    return it;
  });
  return { laid, over, left: open > 0 ? 0 : Math.max(0, left) };
}

/** What is built in along a wall: plinth, modules with their fronts, a top that reaches over them. */
export function builtIn({ width: w, depth: d, height: h }: Size, spec: BuiltIn | null): Part[] {
  const { modules, plinth, overhang } = spec ?? { modules: [], plinth: 0, overhang: 0 };
  const foot = Math.min(plinth, h * 0.4);
  const deep = Math.max(20, d - overhang);
  const top = overhang > 0 ? Math.min(30, h / 4) : 0;
  const { laid } = layModules(w, modules);
  const face: Line[] = laid.flatMap(({ from, wide, fill, count }, i) => [
    ...(i > 0 ? [line(from, foot, from, h - top)] : []),
    ...(fill === 'rail'
      ? [line(from + 20, h - top - 150, from + wide - 20, h - top - 150)]
      : frontLines({ fill, count }, from, foot, wide, h - top - foot)),
  ]);
  const plan: Line[] = [
    line(0, deep - 22, w, deep - 22),
    ...laid.slice(1).map(({ from }) => line(from, 0, from, deep)),
    ...laid.flatMap(({ from, wide, fill }) =>
      fill === 'rail' || (fill === 'doors' && h > 1500 && d > 400)
        ? hangers(wide, deep).map((each) => each.map((p) => ({ ...p, x: p.x + from })))
        : [],
    ),
  ];
  return [
    ...(foot > 0
      ? [box({ x: 0, y: 0, w, d: Math.max(20, deep - 50), h: foot }, 'dark', { plan: 'none' as const })]
      : []),
    box({ x: 0, y: 0, z: foot, w, d: deep, h: h - foot - top }, 'body', { lines: plan, face }),
    ...(top > 0 ? [box({ x: 0, y: 0, z: h - top, w, d, h: top }, 'top', { lines: plan })] : []),
  ];
}
