import { useAppSelector } from '../../../store/store';
import { later } from '../later/later';

const List = later(() => import('./WalkList'));
const Closing = later(() => import('./WalkClosing'));

/** The walls of a walk, while there is one. */
export const WalkList = () => (useAppSelector(({ plan }) => plan.proposal?.kind === 'walk') ? <List /> : null);

/** How a walk closes, while it does. */
export const WalkClosing = () =>
  useAppSelector(({ plan: { proposal } }) => proposal?.kind === 'walk' && proposal.closing) ? <Closing /> : null;
