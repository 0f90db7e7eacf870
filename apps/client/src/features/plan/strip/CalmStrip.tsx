import { useAppSelector } from '../../../store/store';
import { Calm } from '../Calm';
import { TapeStrip } from './TapeStrip';

/** An opening is dragged along the strip, which then follows the finger. */
export function CalmStrip() {
  const opening = useAppSelector((state) => state.plan.selection.kind === 'opening');
  const strip = <TapeStrip />;
  return opening ? strip : <Calm>{strip}</Calm>;
}
