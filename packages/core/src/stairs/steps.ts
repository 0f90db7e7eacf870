import { MOST_RISERS, type Stair, type StairRule } from '../plan/plan';

/** How stairs climb: risers of one height, treads of one going, and how many of them belong to turns. */
export interface Steps {
  /** From floor to floor, mm: risers × riser, exactly. */
  readonly rise: number;
  readonly risers: number;
  /** mm */
  readonly riser: number;
  /** From riser to riser along the walking line, mm; of a ramp or a hatch its length. */
  readonly going: number;
  /** Treads in each flight: before the first turn, between turns, after the last. */
  readonly flights: readonly number[];
  /** Treads in each turn: 1 for a landing. */
  readonly turning: readonly number[];
  /** Why the turns can't be where they were put; null where they can. */
  readonly misfit: string | null;
}

/** No riser is usually higher than this, mm: 2 700 mm are 14 risers of 192.9, as the most a step may be in the US (7 3/4″ = 196.85). */
const USUAL_RISER = 196;
/** 2 × riser + going of stairs that are easy to walk, mm: the middle of what Blondel's rule allows (600–640). */
const STRIDE = 630;
/** Between the rungs of a ladder, mm, and its pitch (common practice, no source). */
const RUNG = 280;
const LADDER_PITCH = 72;
/** A ramp rises by 1 in 12 (common practice, no source), by so much unless it was read, mm. */
const RAMP = 12;
const RAMP_RISE = 150;
/** A hatch is as long as this unless it was read, mm (common practice, no source). */
const HATCH = 1200;
/** Degrees to a winder: three to a quarter. */
const WINDER = 30;

const usualRise = (stair: Stair, floorToFloor: number): number =>
  stair.rise ?? (stair.form === 'ramp' ? RAMP_RISE : floorToFloor);

/** As many risers as keep each at or under the usual height; two at least. */
const usualRisers = (form: Stair['form'], rise: number): number =>
  Math.min(MOST_RISERS, Math.max(2, Math.ceil(rise / (form === 'ladder' ? RUNG : USUAL_RISER) - 1e-9)));

function usualGoing({ form }: Stair, rise: number, riser: number, rule: StairRule): number {
  switch (form) {
    case 'hatch':
      return HATCH;
    case 'ramp':
      return rise * RAMP;
    case 'ladder':
      return riser / Math.tan((LADDER_PITCH * Math.PI) / 180);
    default:
      return Math.round(Math.min(320, Math.max(rule === 'US' ? 254 : 220, STRIDE - 2 * riser)));
  }
}

/** Treads of a turn: a landing is one, winders are three to a quarter. */
export const treadsOf = ({ by, angle }: Stair['turns'][number]): number =>
  by === 'landing' ? 1 : Math.max(1, Math.round(Math.abs(angle) / WINDER));

/**
 * Risers and goings of stairs that lead `floorToFloor` mm up unless their rise was read. What was counted or chosen is kept; the rest follows from the
 * height: n risers, n − 1 treads, those that no turn takes shared out among the flights.
 */
export function stepsOf(stair: Stair, floorToFloor: number, rule: StairRule): Steps {
  const rise = usualRise(stair, floorToFloor);
  const plain = stair.form === 'hatch' || stair.form === 'ramp';
  const risers = plain ? 1 : (stair.risers ?? usualRisers(stair.form, rise));
  const riser = rise / risers;
  const going = stair.going ?? usualGoing(stair, rise, riser, rule);
  const base = { rise, risers, riser, going };
  const turns = stair.form === 'stairs' ? stair.turns : [];
  if (turns.length === 0) return { ...base, flights: [plain ? 1 : risers - 1], turning: [], misfit: null };
  return { ...base, ...shared(turns, risers) };
}

function shared(turns: Stair['turns'], risers: number): Pick<Steps, 'flights' | 'turning' | 'misfit'> {
  const turning = turns.map(treadsOf);
  const spare = risers - 1 - turning.reduce((sum, count) => sum + count, 0);
  if (spare < 0) {
    const misfit = `${risers} risers are too few for ${turns.length === 1 ? 'this turn' : `${turns.length} turns`}.`;
    return { flights: [...turns.map(() => 0), 0], turning, misfit };
  }
  let [left, gone] = [spare, 0];
  let misfit: string | null = null;
  const flights = turns.map(({ after }, i) => {
    const wanted = after === null ? Math.round(left / (turns.length - i + 1)) : after - 1 - gone;
    const own = Math.min(left, Math.max(0, wanted));
    if (own !== wanted) misfit = `A turn after ${after} risers does not fit: there are ${risers}.`;
    left -= own;
    gone += own + turning[i]!;
    return own;
  });
  return { flights: [...flights, left], turning, misfit };
}
