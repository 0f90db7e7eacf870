import { MM_PER_INCH, distance } from '@velvet-tape/core';
import { useEffect, useState } from 'react';
import type { LaserMeter, MeterStatus } from '../../../meter/laser-meter';
import { SimulatedMeter } from '../../../meter/simulated-meter';
import { trueLength } from '../../../meter/truth';
import { type RootState, type AppDispatch, useAppDispatch } from '../../../store/store';
import { spotLength } from '../openings/reading-along';
import { planActions } from '../plan-slice';
import type { Field } from '../plan-state';
import { selectFace, selectGapSpot } from '../selectors';
import { kindOf } from '../sketching/proposal';

/** Does what is typed into the field come from a meter too? */
export const isShot = (field: Field | null): boolean =>
  field === 'length' || field === 'reading' || field === 'leg' || field === 'gap';

/** What the beam would be aimed at: what the waiting field measures, as it is on the plan. */
function aimed(state: RootState): number | null {
  const { pad, proposal } = state.plan;
  if (proposal) return kindOf(proposal).aimed?.(proposal) ?? null;
  const face = selectFace(state);
  const spot = selectGapSpot(state);
  if (face && spot) return spotLength(face, spot);
  if (!face || pad.field !== 'length') return null;
  const asItStands = trueLength(state.plan.jobId, state.plan.floor, face.from, face.to);
  return asItStands ?? (face.bulge === 0 ? face.length : distance(face.a, face.b));
}

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
