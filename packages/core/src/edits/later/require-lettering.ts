import { Refusal } from '../../plan/draft';
import { LETTERING_ON_PAPER } from '../../plan/plan';

/** Refuses letters nobody could read on a print, or that fill the page; mm on paper. */
export function requireLettering(mm: number): void {
  const { least, most } = LETTERING_ON_PAPER;
  if (!(mm >= least && mm <= most))
    throw new Refusal(`Lettering is ${least} to ${most} mm high on paper: smaller can’t be read on a print.`);
}
