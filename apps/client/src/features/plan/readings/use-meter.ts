import { MM_PER_INCH, distance } from '@velvet-tape/core';
import { useEffect, useState } from 'react';
import type { LaserMeter, MeterStatus } from '../../../meter/laser-meter';
import { SimulatedMeter } from '../../../meter/simulated-meter';
import { type RootState, type AppDispatch, useAppDispatch } from '../../../store/store';
import { spotLength } from '../openings/reading-along';
import { planActions } from '../plan-slice';
import type { Field } from '../plan-state';
import { selectFace, selectGapSpot } from '../selectors';
import { type WalkProposal, cornersOfWalk } from '../sketching/walk';

/** Does what is typed into the field come from a meter too? */
export const isShot = (field: Field | null): boolean =>
  field === 'length' || field === 'reading' || field === 'leg' || field === 'gap';

/** What the beam would be aimed at: what the waiting field measures, as it is on the plan. */
function aimed(state: RootState): number | null {
  const { pad, proposal } = state.plan;
  if (proposal?.kind === 'reading') return proposal.place?.kind === 'angle' ? null : proposal.now;
  if (proposal?.kind === 'walk') return aheadInWalk(proposal);
  if (proposal?.kind === 'height') return proposal.now ?? 2000;
  const face = selectFace(state);
  const spot = selectGapSpot(state);
  if (face && spot) return spotLength(face, spot);
  if (!face || pad.field !== 'length') return null;
  return face.bulge === 0 ? face.length : distance(face.a, face.b);
}

/**
 * A walk has no plan to measure on: the simulated room goes on until a wall back along the first ones ends where they began, as in a room with
 * right angles, else for a few metres.
 */
function aheadInWalk(walk: WalkProposal): number {
  if (walk.line !== null) return walk.lines[walk.line]!.length.value;
  const corners = cornersOfWalk({ ...walk, lines: [...walk.lines, { ...ONE_METRE, turn: walk.turn }] });
  const [first, from, to] = [corners[0]!, corners.at(-2)!, corners.at(-1)!];
  const back = ((first.x - from.x) * (to.x - from.x) + (first.y - from.y) * (to.y - from.y)) / 1000;
  return back > 300 ? back : 2400 + 365 * ((walk.lines.length * 7) % 5);
}

const ONE_METRE = { length: { value: 1000, text: '', unit: 'm' }, bow: null, out: true } as const;

let meter: LaserMeter | null = null;

/** The laser meter in use: there is one, whichever wall it is aimed at. What it sends goes to the field that waits. */
function meterFor(dispatch: AppDispatch): LaserMeter {
  if (meter) return meter;
  const now = () => dispatch((_, getState) => getState());
  meter = new SimulatedMeter(() => aimed(now()));
  meter.listen({
    value: (mm) => {
      const { pad, plan } = now().plan;
      const { field } = pad;
      if (!isShot(field)) return;
      const imperial = plan?.job.units === 'imperial';
      dispatch(
        planActions.received(
          imperial ? `${(mm / MM_PER_INCH).toFixed(2)} in` : `${(Math.round(mm) / 1000).toFixed(3)} m`,
        ),
      );
    },
    status: ({ trouble }) => {
      if (trouble) dispatch(planActions.said({ text: trouble, tone: 'refused' }));
    },
  });
  return meter;
}

let stopStream: (() => void) | null = null;

interface Meter {
  readonly status: MeterStatus;
  readonly meter: LaserMeter;
  /** It measures on and on, as to find the shortest way to a wall. */
  readonly streaming: boolean;
  stream(on: boolean): void;
}

export function useMeter(): Meter {
  const dispatch = useAppDispatch();
  const [own] = useState(() => meterFor(dispatch));
  const [status, setStatus] = useState(own.status);
  useEffect(() => own.listen({ status: setStatus }), [own]);
  const stream = (on: boolean) => {
    stopStream?.();
    stopStream = on ? own.stream() : null;
    // whoever asks next sees it
    setStatus({ ...own.status });
  };
  return { status, meter: own, streaming: stopStream !== null, stream };
}
