import { Quiet } from '../../../ui/Part';
import { useAppSelector } from '../../../store/store';
import { piece } from '../later/later';
import { ofPieces } from './pieces-room';

const Bar = piece(() => ofPieces('OptionBar'));

/** Which option is looked at, over the sheet of a job that has some. */
export function OptionBar() {
  const has = useAppSelector(
    ({ plan: { plan, listing } }) => listing === null && Object.keys(plan?.options ?? {}).length > 0,
  );
  return (
    has && (
      <Quiet>
        <Bar />
      </Quiet>
    )
  );
}
