import { useAppSelector } from '../../../store/store';
import { later } from '../later/later';

const Words = later(() => import('./MarksBar').then(({ MarksWords }) => ({ default: MarksWords })));

/** What is to be marked next on a picture, while it is marked. */
export const MarksWords = () => (useAppSelector(({ plan }) => plan.proposal?.kind === 'marks') ? <Words /> : null);
export const MarksActions = later(() => import('./MarksBar').then((bar) => ({ default: bar.MarksActions })));
export const MarksEnd = later(() => import('./MarksBar').then((bar) => ({ default: bar.MarksEnd })));
