export { wallsToCarry } from './carry-floor';
import { annotationsEdits } from './annotations';
import { bendWallEdits } from './bend-wall';
import { breaksEdits } from './breaks';
import { carryFloorEdits } from './carry-floor';
import { closeEndEdits } from './close-end';
import { dimensionsEdits } from './dimensions';
import { floorsEdits } from './floors';
import { finishesEdits } from './finishes';
import { flushEdits } from './flush';
import { labelsEdits } from './labels';
import { looksEdits } from './looks';
import { optionsEdits } from './options';
import { piecesEdits } from './pieces';
import { roofsEdits } from './roofs';
import { sheetsEdits } from './sheets';
import { slopesEdits } from './slopes';
import { stairsEdits } from './stairs';
import { vantagesEdits } from './vantages';
import { wallKindEdits } from './wall-kind';

/** Edits whose screens come later than the plan: a client may leave them away till then. */
export const LATER_EDITS = {
  ...annotationsEdits,
  ...bendWallEdits,
  ...breaksEdits,
  ...carryFloorEdits,
  ...closeEndEdits,
  ...dimensionsEdits,
  ...finishesEdits,
  ...floorsEdits,
  ...flushEdits,
  ...labelsEdits,
  ...looksEdits,
  ...optionsEdits,
  ...piecesEdits,
  ...roofsEdits,
  ...sheetsEdits,
  ...slopesEdits,
  ...stairsEdits,
  ...vantagesEdits,
  ...wallKindEdits,
};
