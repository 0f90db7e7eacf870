import type { Intent, RoofForm, TypedLength, Value } from '@velvet-tape/core';
import type { ProposalKind } from './proposal-kind';

/** A roof over a floor, from the wall of its eaves. */
export interface RoofProposal {
  readonly kind: 'roof';
  readonly form: RoofForm;
  readonly face: string;
  readonly eaves: TypedLength | null;
  /** How high its ridge is, or how steep it is, degrees: the one that was typed last. */
  readonly ridge: TypedLength | null;
  readonly pitch: number | null;
  /** From the eaves to the ridge, mm; null: midway. */
  readonly ridgeAt: number | null;
  /** Of a mansard how high, and how steep, its lower part is. */
  readonly lowTo: TypedLength | null;
  readonly lowPitch: number;
}

/** When it was read is told when it is kept. */
const read = ({ value, text, unit, instrument = 'tape' }: TypedLength): Value => ({
  ...{ value, text, unit, instrument, time: '' },
});

export const roofKind: ProposalKind<RoofProposal> = {
  fields: ({ form }) =>
    form === 'mansard'
      ? ['eaves', 'lowTo', 'lowPitch', 'ridge', 'pitch']
      : form === 'mono'
        ? ['eaves', 'pitch', 'ridge']
        : ['eaves', 'ridge', 'pitch', 'ridgeAt'],
  value: (roof, field) => {
    if (field === 'eaves' || field === 'ridge' || field === 'lowTo') return roof[field]?.value ?? null;
    return field === 'pitch' || field === 'ridgeAt' || field === 'lowPitch' ? roof[field] : null;
  },
  typed: (roof, field, typed) => {
    switch (field) {
      case 'eaves':
      case 'lowTo':
        return { ...roof, [field]: typed };
      case 'ridge':
        return { ...roof, ridge: typed, pitch: null };
      case 'pitch':
        return { ...roof, pitch: typed.value, ridge: null };
      case 'ridgeAt':
      case 'lowPitch':
        return { ...roof, [field]: typed.value };
      default:
        return roof;
    }
  },
  intent: ({ form, face, eaves, ridge, pitch, ridgeAt, lowTo, lowPitch }, { floor }): Intent | null => {
    if (!eaves || (!ridge && pitch === null) || (form === 'mansard' && !lowTo)) return null;
    return {
      ...{ kind: 'addRoof', floor, form, face, eaves: read(eaves), ridgeAt },
      rise: ridge ? { ridge: read(ridge) } : { pitch: pitch! },
      ...(lowTo && { lower: { to: read(lowTo), pitch: lowPitch } }),
    };
  },
  lacks: ({ form, eaves, ridge, pitch, lowTo }) => {
    if (!eaves) return 'How high are its eaves?';
    if (form === 'mansard' && !lowTo) return 'How high does its steep part reach?';
    return !ridge && pitch === null ? 'How high is its ridge, or how steep is it?' : null;
  },
  whole: true,
  measures: (_, field) =>
    field === 'pitch' || field === 'lowPitch' ? null : field === 'ridgeAt' ? 'place' : 'headroom',
  chosen: (roof, { ceiling }) =>
    ceiling === 'mono' || ceiling === 'gable' || ceiling === 'hip' || ceiling === 'mansard'
      ? { ...roof, form: ceiling }
      : roof,
};
