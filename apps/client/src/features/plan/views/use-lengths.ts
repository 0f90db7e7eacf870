import { lent } from '../later/lent';

const { formatLength, parseLength, planActions, useAppDispatch, useAppSelector } = lent();

/** Lengths as they are written in this job, read back, and what is said of those that can't be. */
export function useLengths(): {
  written(mm: number): string;
  typed(text: string, keep: (mm: number) => void): void;
  say(text: string): void;
} {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const say = (text: string) => void dispatch(planActions.said({ text, tone: 'refused' }));
  return {
    written: (mm) => formatLength(mm, units),
    typed: (text, keep) => {
      const read = parseLength(text, units === 'metric' ? 'm' : 'ft');
      if (read.ok) keep(read.mm);
      else say(read.reason);
    },
    say,
  };
}
