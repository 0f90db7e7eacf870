import { lent } from '../../later/lent';
import { useLengths } from '../use-lengths';
import { TYPED } from './Bar';

const { Written } = lent();

/** Higher than any house is cut, mm. */
const HIGHEST = 20_000;

/** How high over the floor everything is cut; empty: not at all. */
export function CutAt({ cut, cutAt }: { cut: number | null; cutAt(mm: number | null): void }) {
  const { written, typed, say } = useLengths();
  const keep = (mm: number | null): true => {
    cutAt(mm);
    return true;
  };
  return (
    <Written
      style={TYPED}
      key={String(cut)}
      label="Cut at"
      value={cut === null ? '' : written(cut)}
      keep={(text) =>
        text.trim() === ''
          ? keep(null)
          : typed(text, (mm) => (mm <= HIGHEST ? keep(mm) : say('That is higher than any floor. Check the unit.')))
      }
    />
  );
}
