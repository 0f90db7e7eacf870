export { wallsToCarry } from './carry-floor';
import { annotationsEdits } from './annotations';
import { breaksEdits } from './breaks';
import { carryFloorEdits } from './carry-floor';
import { dimensionsEdits } from './dimensions';
import { labelsEdits } from './labels';
import { looksEdits } from './looks';
import { roofsEdits } from './roofs';
import { sheetsEdits } from './sheets';

/** Edits whose screens come later than the plan: a client may leave them away till then. */
export const LATER_EDITS = {
  ...annotationsEdits,
  ...breaksEdits,
  ...carryFloorEdits,
  ...dimensionsEdits,
  ...labelsEdits,
  ...looksEdits,
  ...roofsEdits,
  ...sheetsEdits,
};
