import type { Sheet } from '@velvet-tape/core';
import { BarButton } from '../../../ui/BarButton';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';

const { PAPERS } = lent();

/** The papers there are, the one that is taken marked. */
export const Papers = ({ paper, take }: { paper: Sheet['paper']; take(paper: Sheet['paper']): void }) => (
  <ListBar>
    {PAPERS.map((each) => (
      <BarButton key={each} label={each} says={`Paper ${each}`} chosen={paper === each} onPress={() => take(each)} />
    ))}
  </ListBar>
);
