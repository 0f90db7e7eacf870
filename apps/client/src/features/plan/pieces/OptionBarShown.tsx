import { useWindowDimensions } from 'react-native';
import { Quiet } from '../../../ui/Part';
import { useAppSelector } from '../../../store/store';
import { piece } from '../later/later';
import { ofPieces } from './pieces-room';

const Bar = piece(() => ofPieces('OptionBar'));

/** Lower than this the sheet has no room for it: the part “Options” has it too, px. */
const LOW = 480;

/** Which option is looked at, over the sheet of a job that has some, while things are chosen or pieces put down. */
export function OptionBar() {
  const has = useAppSelector(
    ({ plan: { plan, listing, tool } }) =>
      listing === null && (tool === 'choose' || tool === 'pieces') && Object.keys(plan?.options ?? {}).length > 0,
  );
  const { height } = useWindowDimensions();
  return (
    has &&
    height >= LOW && (
      <Quiet>
        <Bar />
      </Quiet>
    )
  );
}
