import { lent } from '../later/lent';

const { formatLength, parseLength, planActions, useAppDispatch, useAppSelector } = lent();

/** Lengths as they are written in this job, read back, and what is said of those that can't be. */
export function useLengths(): {
  written(mm: number): string;
  /** Kept, or said why not. */
  typed(text: string, keep: (mm: number) => boolean): boolean;
  say(text: string): false;
} {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const say = (text: string): false => {
    dispatch(planActions.said({ text, tone: 'refused' }));
    return false;
  };
  return {
    written: (mm) => formatLength(mm, units),
    typed: (text, keep) => {
      const read = parseLength(text, units === 'metric' ? 'm' : 'ft');
      return read.ok ? keep(read.mm) : say(read.reason);
    },
    say,
  };
}
