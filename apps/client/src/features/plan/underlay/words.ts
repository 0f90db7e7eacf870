import {
  type Underlay,
  agreementOf,
  decimals,
  distance,
  fitScale,
  fitStretched,
  formatLength,
  likelySlip,
  placedByPoints,
  scaleOf,
  sizeInHouse,
} from '@velvet-tape/core';
import { type MarksProposal, WANTED, distancesOf } from './marks';

type Units = 'metric' | 'imperial';

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'] as const;
const percent = (share: number): string => `${decimals(Math.abs(share) * 100, 1)} %`;

/** What is to be marked next. */
export function markWords({ task, marks, distances }: MarksProposal): string {
  const next = marks.length;
  switch (task) {
    case 'scale':
      if (next === 0)
        return distances.length === 0
          ? 'Mark one end of something whose length you know.'
          : 'Mark another known length, or keep this scale.';
      return next === 1 ? 'Mark its other end.' : 'Type the distance between them.';
    case 'level':
      return next < WANTED.level
        ? `Mark the ${next === 0 ? 'beginning' : 'end'} of a line that should be level or upright.`
        : 'Keep it, or move the marks.';
    case 'flatten':
      if (next >= WANTED.flatten) return 'What are its sides?';
      return next === 0
        ? 'Mark the corners of a sheet or rectangle, its top left first.'
        : `Mark the corners of a sheet or rectangle: ${next} of 4.`;
    case 'place':
      return [
        'Mark a point of the picture.',
        'Now the same point on the plan.',
        'Mark another point of the picture, well away.',
        'And where that is on the plan.',
        'Keep it, or move the marks.',
      ][next]!;
    case 'crop':
      return next < WANTED.crop ? 'Mark two opposite corners of what is to stay.' : 'Keep it, or move the marks.';
  }
}

export interface ScaleWords {
  /** “This makes the picture 85.0 m wide.” */
  readonly means: string;
  /** How well several distances agree. */
  readonly agree: string | null;
  /** It looks stretched one way. */
  readonly stretch: string | null;
  /** A size that is likelier, and by which factor what was typed is off. */
  readonly likely: { readonly by: number; readonly width: string } | null;
  readonly width: string;
}

/** What the known distances make of the picture; null while there are none. */
export function scaleWords(proposal: MarksProposal, underlay: Underlay, units: Units): ScaleWords | null {
  const distances = distancesOf(proposal);
  const fit = (proposal.stretched ? fitStretched(distances) : null) ?? fitScale(distances);
  if (!fit) return null;
  const size = sizeInHouse(underlay, fit.size);
  const width = formatLength(size.x, units, 'coarse');
  const agreement = agreementOf(distances);
  const worst = Math.max(...fit.misses.map((miss, i) => Math.abs(miss) / distances[i]!.value));
  const at = fit.misses.findIndex((miss, i) => Math.abs(miss) / distances[i]!.value === worst);
  const slip = likelySlip(size.x);
  const nth = ORDINALS[at] ?? `${at + 1}th`;
  const agree =
    distances.length < 2
      ? null
      : worst < 0.01
        ? `${distances.length} distances agree to ${percent(worst)}.${agreement?.wanted ? ` One ${agreement.wanted === 'across' ? 'across' : 'up and down'} the picture would tell whether it is stretched.` : ''}`
        : `They do not agree: the ${nth} is off by ${percent(worst)}.`;
  const stretch =
    agreement && agreement.stretch !== 0 && !proposal.stretched
      ? `The picture looks stretched: ${percent(agreement.stretch)} too ${agreement.stretch > 0 ? 'low' : 'narrow'} for its other direction.`
      : null;
  return {
    means: `This makes the picture ${width} wide.`,
    agree,
    stretch,
    likely: slip === null ? null : { by: slip, width: formatLength(size.x * slip, units, 'coarse') },
    width,
  };
}

/** By how much two matching points fail to match, where that is worth a word. */
export function placeWords(proposal: MarksProposal, underlay: Underlay, units: Units): string | null {
  const [a, b, c, d] = proposal.marks;
  if (!a || !b || !c || !d) return null;
  const { off } = placedByPoints(underlay, { picture: a, house: b }, { picture: c, house: d });
  const share = Math.abs(off) / Math.max(1, distance(b, d));
  if (share < 0.005) return 'The distances match.';
  return `On the picture it is ${formatLength(Math.abs(off), units, 'coarse')} ${off > 0 ? 'longer' : 'shorter'} than on the plan; both ends share that.`;
}

/** How large a picture is and how that is known: “Scale from 2 distances · 12.4 × 9.30 m”. */
export function underlayWords(underlay: Underlay, units: Units): string {
  const { size, known } = scaleOf(underlay);
  if (!known) return 'No true scale yet: what is drawn over it is rough.';
  const whole = sizeInHouse(underlay, size);
  const { calibration } = underlay;
  const from =
    calibration.kind === 'printed'
      ? calibration.ratio === 1
        ? 'Scale from its sides'
        : `Drawn at 1:${calibration.ratio}`
      : calibration.kind === 'known' && calibration.distances.length === 1
        ? 'Scale from one distance'
        : `Scale from ${calibration.kind === 'known' ? calibration.distances.length : 0} distances`;
  return `${from} · ${formatLength(whole.x, units, 'coarse')} × ${formatLength(whole.y, units, 'coarse')}`;
}
