import { type Intent, formatLength, placeOfReading, rescaleFor } from '@velvet-tape/core';
import type { Command } from '../../../store/store';
import { planActions } from '../plan-slice';

/** A length was taped that an underlay has otherwise: what is only scaled could follow it. It is asked, once, where the tape was read. */
export const offerRescale =
  ({ from, to, across, along = 'inside' }: Extract<Intent, { kind: 'tapeLength' }>): Command =>
  (dispatch, getState) => {
    const { plan, notice } = getState().plan;
    const place = placeOfReading({ kind: across ? 'chord' : 'length', face: along, from, to, via: [] });
    const taped = Object.values(plan?.readings ?? {}).find((reading) => placeOfReading(reading) === place);
    const underlay = plan?.underlays[taped?.history[0]?.traced?.underlay ?? ''];
    const found = plan && underlay && rescaleFor(plan, underlay);
    // a contradiction is said first
    if (!found || notice?.tone === 'refused') return;
    const { units } = plan.job;
    const [read, says] = [formatLength(found.taped, units), formatLength(found.scaled, units, 'coarse')];
    const text = `Taped ${read} where the picture says ${says}. Rescale what is only scaled?`;
    dispatch(planActions.said({ text, tone: 'said', offer: { kind: 'rescale', underlay: underlay.id } }));
  };
