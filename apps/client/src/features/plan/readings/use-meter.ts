import { MM_PER_INCH, distance } from '@velvet-tape/core';
import { useEffect, useState } from 'react';
import type { LaserMeter, MeterStatus } from '../../../meter/laser-meter';
import { SimulatedMeter } from '../../../meter/simulated-meter';
import { type RootState, type AppDispatch, useAppDispatch } from '../../../store/store';
import { planActions } from '../plan-slice';
import { selectFace } from '../selectors';

/** What the beam would be aimed at: what the waiting field measures, as it is on the plan. */
function aimed(state: RootState): number | null {
  const { pad, proposal } = state.plan;
  if (proposal?.kind === 'reading') return proposal.place?.kind === 'angle' ? null : proposal.now;
  const face = selectFace(state);
  if (!face || pad.field !== 'length') return null;
  return face.bulge === 0 ? face.length : distance(face.a, face.b);
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
      if (field !== 'length' && field !== 'reading') return;
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

export function useMeter(): { status: MeterStatus; meter: LaserMeter } {
  const dispatch = useAppDispatch();
  const [own] = useState(() => meterFor(dispatch));
  const [status, setStatus] = useState(own.status);
  useEffect(() => own.listen({ status: setStatus }), [own]);
  return { status, meter: own };
}
