import type { RootState } from '../../../store/store';

/** Is there something in this plan, or in hand, that edits which come later are for? */
export const wantsRooms = ({ plan: { plan, tool } }: RootState): boolean =>
  plan !== null &&
  (tool === 'ceiling' ||
    tool === 'stairs' ||
    [plan.slopes, plan.breaks, plan.stairs].some((all) => Object.keys(all).length > 0));
